import { tableNames, tables, type TableName } from '@core/records'
import { schemaVersion } from '@core/records/version'

/** The store's own version: it rises when tables or indices come. */
export const storeVersion = Math.max(4, schemaVersion)

/** The same as the browser counts it: Dexie leaves room for nine between two. */
export const versionInBrowser = storeVersion * 10

/** What a store is made of: by the name of each table its key, then its indices, in Dexie's short form. */
export type Shape = Readonly<Record<string, string>>

/** The version of the store in which a table came; it was one behind the records' once. */
function since(name: TableName): number {
  return tables[name].since === 4 ? 3 : tables[name].since
}

/** What a store holds beside the tables of records. */
const besides: Readonly<Record<number, Shape>> = {
  1: { journal: 'seq, *about', files: 'id', meta: 'key' },
  4: { aside: 'key' },
  5: { episodes: tables.episodes.index },
}

/** Indices that a table had before version 5. */
const once: Partial<Record<TableName, string>> = { episodes: 'id, phase.name' }

/** What came, or came to be another, in a version of the store. */
export function shapeSince(version: number): Shape {
  return {
    ...Object.fromEntries(
      tableNames.flatMap((name) =>
        since(name) === version ? [[name, once[name] ?? tables[name].index]] : [],
      ),
    ),
    ...besides[version],
  }
}

/** What a store of this program's version is made of. */
export function shapeNow(): Shape {
  const versions = Array.from({ length: storeVersion }, (_, i) => shapeSince(i + 1))
  return versions.reduce((shape, next) => ({ ...shape, ...next }))
}
