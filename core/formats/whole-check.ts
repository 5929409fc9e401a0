import type { Id, RecordOf, TableName } from '../model'
import { inOrder } from '../recipe/needs'
import { recipeFault } from '../recipe/edit'

/** The rows of tables, as far as they are known. */
export type Rows = { readonly [T in TableName]: readonly RecordOf<T>[] }

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

/** A table's records in the singular, for sentences. */
export const singular: Readonly<Record<TableName, string>> = {
  shows: 'show',
  outlets: 'outlet',
  recipes: 'recipe',
  episodes: 'episode',
  steps: 'step',
  scripts: 'script',
  keywords: 'keyword',
  settings: 'settings',
  standing: 'standing work',
  busy: 'busy time',
  reservations: 'reservation',
  launches: 'launch',
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
  const ids = (table: TableName) => {
    const seen = new Set<Id>()
    for (const { id } of rows[table]) {
      if (seen.has(id)) blame(table, id, 'the same id stands twice')
      seen.add(id)
    }
    return seen
  }
  const left = (table: TableName, all: ReadonlySet<Id>) => ({
    has: (id: Id) => all.has(id) && !out.has(`${table}/${id}`),
  })
  const known = {
    shows: left('shows', ids('shows')),
    outlets: left('outlets', ids('outlets')),
    recipes: left('recipes', ids('recipes')),
    episodes: left('episodes', ids('episodes')),
  }
  for (const t of ['steps', 'scripts', 'keywords', 'standing', 'busy', 'reservations', 'launches'] as const)
    ids(t)
  for (const r of rows.recipes) {
    const fault = recipeFault(r)
    if (!fault.ok) blame('recipes', r.id, fault.problem.sentence)
  }
  for (const s of rows.shows) {
    const recipes = [s.recipe, ...(s.recipes ?? []), ...(s.rhythm.also ?? []).flatMap((b) => b.recipe ?? [])]
    if (recipes.some((r) => !known.recipes.has(r))) blame('shows', s.id, 'its recipe is not there')
    else if (s.outlets.some((o) => !known.outlets.has(o))) blame('shows', s.id, 'its outlet is not there')
  }
  const [codes, numbers, slots] = [new Set<string>(), new Set<string>(), new Set<string>()]
  for (const e of rows.episodes) {
    if (!known.shows.has(e.show)) blame('episodes', e.id, 'its show is not there')
    else if (e.recipe !== undefined && !known.recipes.has(e.recipe))
      blame('episodes', e.id, 'its recipe is not there')
    if (codes.has(e.code)) blame('episodes', e.id, `the code ${e.code} stands twice`)
    codes.add(e.code)
    const number = `${e.show} ${String(e.number)}`
    if (e.number !== undefined && numbers.has(number))
      blame('episodes', e.id, `the number ${e.number} stands twice`)
    numbers.add(number)
    if (e.phase.name !== 'work' || e.place.on !== 'slot') continue
    const slot = `${e.show} ${e.place.day}`
    if (slots.has(slot)) blame('episodes', e.id, `another episode stands on ${e.place.day}`)
    slots.add(slot)
  }
  const steps = new Map<Id, RecordOf<'steps'>[]>()
  for (const s of rows.steps) {
    if (!known.episodes.has(s.episode)) blame('steps', s.id, 'its episode is not there')
    else steps.set(s.episode, [...(steps.get(s.episode) ?? []), s])
  }
  for (const mine of steps.values()) {
    const order = inOrder(mine)
    if (!order.ok) for (const s of mine) if (s.needs.length > 0) blame('steps', s.id, order.problem.sentence)
  }
  for (const s of rows.scripts)
    if (!known.episodes.has(s.id)) blame('scripts', s.id, 'its episode is not there')
  for (const k of rows.keywords)
    if (!known.shows.has(k.show)) blame('keywords', k.id, 'its show is not there')
  for (const r of rows.reservations)
    if (!known.shows.has(r.show)) blame('reservations', r.id, 'its show is not there')
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
  return {
    shows: kept('shows'),
    outlets: kept('outlets'),
    recipes: kept('recipes'),
    episodes: kept('episodes'),
    steps: kept('steps'),
    scripts: kept('scripts'),
    keywords: kept('keywords'),
    settings: kept('settings'),
    standing: kept('standing'),
    busy: kept('busy'),
    reservations: kept('reservations'),
    launches: kept('launches'),
  }
}
