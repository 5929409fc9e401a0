import { tableNames, type TableName } from '.'

/**
 * A record of today as version 4 had it, for tests of the way from there: what `kind` says now stood under a name
 * of its own in each place.
 */
export function asVersion4(table: TableName, row: object): unknown {
  const names: Partial<Record<TableName, [path: string[], name: string][]>> = {
    episodes: [
      [['phase'], 'name'],
      [['place'], 'on'],
      [['nature'], 'is'],
    ],
    steps: [[['lead'], 'by']],
    recipes: [
      [['lines', 'lead'], 'by'],
      [['follow', 'when'], 'is'],
      [['follow', 'then'], 'is'],
    ],
    standing: [[['when'], 'by']],
    reservations: [
      [[], 'is'],
      [['kept'], 'by'],
    ],
    settings: [[['views', 'where'], 'is']],
  }
  return (names[table] ?? []).reduce<unknown>((was, [path, name]) => renamed(was, path, name), row)
}

/** The whole of some tables as version 4 had them. */
export function tablesAsVersion4(tables: Record<string, readonly object[]>): Record<string, unknown[]> {
  return Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => {
      const table = tableNames.find((t) => t === name)
      return [name, rows.map((row) => (table ? asVersion4(table, row) : row))]
    }),
  )
}

function renamed(value: unknown, path: readonly string[], name: string): unknown {
  if (Array.isArray(value)) return value.map((v: unknown) => renamed(v, path, name))
  if (typeof value !== 'object' || value === null) return value
  const [first, ...rest] = path
  if (first !== undefined)
    return first in value ? { ...value, [first]: renamed(Reflect.get(value, first), rest, name) } : value
  const fields = Object.entries(value).map(([key, v]): [string, unknown] => [
    key === 'kind' ? name : key,
    key === 'of' ? renamed(v, [], name) : v,
  ])
  return Object.fromEntries(fields)
}
