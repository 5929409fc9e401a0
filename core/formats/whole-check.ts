import { rowsFrom, tableNames, tables, type Id, type RecordOf, type Rows, type TableName } from '../records'
import { inOrder } from '../recipe/needs'
import { recipeFault } from '../recipe/fault'

/** A record that cannot stay, and why. */
export interface Fault {
  table: TableName
  id: Id
  why: string
}

/** How deep a value is nested, counted up to a limit; no deeper look is taken. */
export function nestedBeyond(value: unknown, limit: number): boolean {
  const row: [unknown, number][] = [[value, 0]]
  for (let next = row.pop(); next; next = row.pop()) {
    const [here, depth] = next
    if (typeof here !== 'object' || here === null) continue
    if (depth >= limit) return true
    for (const inner of Object.values(here)) row.push([inner, depth + 1])
  }
  return false
}

/** How deep a record may be nested: views with conditions within conditions go deepest. */
export const deepest = 40

/** The title a record is known by. */
export function nameOf(row: unknown): string {
  if (typeof row !== 'object' || row === null) return ''
  for (const key of ['title', 'name', 'words', 'id'])
    if (key in row) {
      const text: unknown = Reflect.get(row, key)
      if (typeof text === 'string' && text.trim() !== '') return text.trim().slice(0, 80)
    }
  return ''
}

/**
 * What is wrong between records: references to what is not there, ids, codes, numbers and slots that stand
 * twice, needs in a circle. Every rule that commands guarantee, in one place: what is read from the store
 * or from a back-up is held against it. A record at fault takes those along that hang on it. Linear in the
 * records but for the circles.
 */
export function faultsOf(rows: Rows): Fault[] {
  const faults: Fault[] = []
  const out = new Set<string>()
  const blame = (table: TableName, id: Id, why: string) => {
    if (out.has(`${table}/${id}`)) return
    out.add(`${table}/${id}`)
    faults.push({ table, id, why })
  }
  for (const r of rows.recipes) {
    const fault = recipeFault(r)
    if (!fault.ok) blame('recipes', r.id, fault.problem.sentence)
  }
  const known = new Map<string, ReadonlySet<Id>>()
  const held = <T extends TableName>(table: T, all: readonly (RecordOf<T> & { id: Id })[]) => {
    const seen = new Set<Id>()
    for (const row of all) {
      if (seen.has(row.id)) blame(table, row.id, 'the same id stands twice')
      seen.add(row.id)
      const missing = tables[table]
        .refers?.(row)
        .find((r) => !known.get(r.table)?.has(r.id) || out.has(`${r.table}/${r.id}`))
      if (missing) blame(table, row.id, `${missing.as} is not there`)
    }
    known.set(table, seen)
  }
  for (const table of tableNames) held(table, rows[table])
  const [codes, numbers, slots] = [new Set<string>(), new Set<string>(), new Set<string>()]
  for (const e of rows.episodes) {
    if (codes.has(e.code)) blame('episodes', e.id, `the code ${e.code} stands twice`)
    codes.add(e.code)
    const number = `${e.show} ${String(e.number)}`
    if (e.number !== undefined && numbers.has(number))
      blame('episodes', e.id, `the number ${e.number} stands twice`)
    numbers.add(number)
    if (e.phase.kind !== 'work' || e.place.kind !== 'slot') continue
    const slot = `${e.show} ${e.place.day}`
    if (slots.has(slot)) blame('episodes', e.id, `another episode stands on ${e.place.day}`)
    slots.add(slot)
  }
  const steps = new Map<Id, RecordOf<'steps'>[]>()
  for (const s of rows.steps) {
    if (!out.has(`steps/${s.id}`)) steps.set(s.episode, [...(steps.get(s.episode) ?? []), s])
  }
  for (const mine of steps.values()) {
    const order = inOrder(mine)
    if (!order.ok) for (const s of mine) if (s.needs.length > 0) blame('steps', s.id, order.problem.sentence)
  }
  return faults
}

/** Rows without those at fault. */
export function without(rows: Rows, faults: readonly Fault[]): Rows {
  if (faults.length === 0) return rows
  const out = new Set(faults.map((f) => `${f.table}/${f.id}`))
  const kept = <T extends TableName>(table: T): readonly RecordOf<T>[] => {
    const all: readonly RecordOf<T>[] = rows[table]
    return all.filter((r) => !out.has(`${table}/${r.id}`))
  }
  return rowsFrom(kept)
}
