import type { Change, Outcome } from '@core/commands/change'
import { tableNames, type Episode } from '@core/records'
import { now } from './clock'
import type { Store } from './database'
import { writeLine } from './journal'

/** Another tab changed a record first, or stands on the slot. */
export class Overtaken extends Error {
  constructor(readonly theirs: Episode[] = []) {
    super('overtaken')
  }
}

/** Other tabs have written what this one has not read yet. */
export class Missed extends Error {
  constructor() {
    super('missed')
  }
}

/** The store was emptied or deleted under the page. */
export class Gone extends Error {
  constructor() {
    super('gone')
  }
}

/** How often the store was written, over all tabs. Throws `Gone` where the store is not ours any more. */
export async function revisionOf(store: Store): Promise<number> {
  const [schema, rev] = await store.meta.bulkGet(['schema', 'rev'])
  if (schema === undefined) throw new Gone()
  return typeof rev?.value === 'number' ? rev.value : 0
}

/**
 * Writes what some commands did in one transaction, each with its line in the journal, and counts it.
 * Throws `Missed` where other tabs wrote since `seen`, `Overtaken` where a record is not what it was
 * before, `Gone` where the store is not ours any more; nothing is written then.
 */
export async function commit(
  store: Store,
  done: readonly Outcome[],
  seen: number,
  tab: string,
): Promise<{ rev: number; lines: number[] }> {
  const tables = new Set<string>(['journal', 'files', 'meta', 'episodes'])
  for (const d of done) for (const c of d.changes) tables.add(c.table)
  return store.transaction('rw', [...tables], async () => {
    const rev = await revisionOf(store)
    if (rev !== seen) throw new Missed()
    const lines: number[] = []
    for (const d of done) {
      const [, line] = await Promise.all([
        put(store, d.changes),
        writeLine(store.journal, {
          at: new Date(now()).toISOString(),
          sentence: d.sentence,
          about: d.about,
          tab,
          changes: d.changes,
          rev: rev + 1,
          ...(d.merge === undefined ? {} : { merge: d.merge }),
        }),
        ...(d.files ?? []).map((file) => store.files.put(file)),
      ])
      lines.push(line)
    }
    await store.meta.put({ key: 'rev', value: rev + 1 })
    return { rev: rev + 1, lines }
  })
}

/** All that a change of several lines of the journal needs, in one transaction, counted as one write. */
export async function inOneWrite<T>(
  store: Store,
  work: (rev: number) => Promise<T>,
): Promise<{ rev: number; value: T }> {
  return store.transaction('rw', [...tableNames, 'journal', 'meta'], async () => {
    const rev = (await revisionOf(store)) + 1
    const value = await work(rev)
    await store.meta.put({ key: 'rev', value: rev })
    return { rev, value }
  })
}

/** Writes changes inside a transaction; throws `Overtaken` where a record is not what it was before. */
export async function put(store: Store, changes: readonly Change[]): Promise<void> {
  const stored = await Promise.all(changes.map((change) => store.rows(change.table).get(change.id)))
  if (changes.some((change, i) => !same(stored[i], change.before))) throw new Overtaken()
  const there = await onTheirSlots(store, changes)
  if (there.length > 0) throw new Overtaken(there)
  await Promise.all(
    changes.map((change) =>
      change.after === undefined
        ? store.rows(change.table).delete(change.id)
        : store.rows(change.table).put(change.after),
    ),
  )
}

/** Episodes that another tab has put, unseen here, on a slot that some changes fill. */
async function onTheirSlots(store: Store, changes: readonly Change[]): Promise<Episode[]> {
  const placed = changes.flatMap((c) =>
    c.table === 'episodes' &&
    c.after?.phase.kind === 'work' &&
    c.after.place.kind === 'slot' &&
    !same(c.after.place, c.before?.place)
      ? [c.after]
      : [],
  )
  if (placed.length === 0) return []
  const own = new Set(changes.map((c) => c.id))
  return store
    .rows('episodes')
    .where('phase.kind')
    .equals('work')
    .filter((e) => !own.has(e.id) && placed.some((p) => p.show === e.show && same(p.place, e.place)))
    .toArray()
}

/**
 * Whether two records say the same, whatever the order of their fields; a field that says nothing is none.
 */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) !== Array.isArray(b)) return false
  const [left, right] = [fieldsOf(a), fieldsOf(b)]
  return left.size === right.size && [...left].every(([key, value]) => same(value, right.get(key)))
}

function fieldsOf(value: object): Map<string, unknown> {
  return new Map(Object.entries(value).filter(([, v]) => v !== undefined))
}
