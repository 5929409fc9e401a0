import type { Change, Outcome } from '@core/commands/change'
import { newlyPlaced, onSameSlot } from '@core/commands/schedule/same-slot'
import { same } from '@core/records/same'
import { tableNames, type Episode } from '@core/records'
import { now } from './clock'
import type { Store } from './database'
import { writeLine } from './journal'
import { revisionOf } from './revision'

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
  const placed = newlyPlaced(changes)
  if (placed.length > 0) {
    const own = new Set(changes.map((c) => c.id))
    const work = await store.rows('episodes').where('phase.kind').equals('work').toArray()
    const there = work.filter((e) => !own.has(e.id) && placed.some((p) => onSameSlot(p, e)))
    if (there.length > 0) throw new Overtaken(there)
  }
  await Promise.all(
    changes.map((change) =>
      change.after === undefined
        ? store.rows(change.table).delete(change.id)
        : store.rows(change.table).put(change.after),
    ),
  )
}
