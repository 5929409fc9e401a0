import type { Aside, WholeStore } from '@core/formats/backup'
import { faultsOf } from '@core/formats/whole-check'
import { filesOf } from '@core/commands/files'
import {
  JournalLine,
  rowsFrom,
  rowsOf,
  tableNames,
  type RecordOf,
  type Rows,
  type TableName,
} from '@core/records'
import { schemaVersion } from '@core/records/version'
import { ok, refused, type Result } from '@core/result'
import { now } from './clock'
import type { Store } from './database'
import type { Library } from './library'
import { asideOf, checkedRows, readerOf } from './reading'
import { problemOf } from './problems'
import { holdsRecords } from './revision'

/** The rows of every table of a store. */
async function tablesIn(store: Store): Promise<Rows> {
  const raw = new Map<TableName, readonly unknown[]>()
  for (const name of tableNames) raw.set(name, await store.raw(name).toArray())
  return rowsFrom(<T extends TableName>(name: T) => {
    // As they stand; they are looked at where it matters.
    const isRow = (_row: unknown): _row is RecordOf<T> => true
    return (raw.get(name) ?? []).filter(isRow)
  })
}

/** Reads everything that a world's store holds, in one transaction. */
export async function wholeOf(store: Store): Promise<WholeStore> {
  return store.transaction('r', store.tables, async () => ({
    tables: await tablesIn(store),
    journal: await store.journal.toArray(),
    files: await store.files.toArray(),
    aside: await store.aside.toArray(),
  }))
}

/** Replaces all that a store holds, in one transaction: all of it or nothing. */
export async function replaceWhole(
  store: Store,
  whole: WholeStore,
  remarks: { key: string; value: string | number }[] = [],
): Promise<void> {
  await store.transaction('rw', store.tables, async () => {
    // Counted as a write, so that every tab notices.
    const rev = (await store.meta.get('rev'))?.value
    for (const table of store.tables) await table.clear()
    for (const name of tableNames) await store.raw(name).bulkAdd([...whole.tables[name]])
    await store.journal.bulkAdd(whole.journal)
    await store.files.bulkAdd(whole.files)
    await store.aside.bulkAdd([...new Map((whole.aside ?? []).map((a) => [a.key, a])).values()])
    await store.meta.bulkAdd([
      { key: 'schema', value: schemaVersion },
      { key: 'rev', value: (typeof rev === 'number' ? rev : 0) + 1 },
      ...remarks,
    ])
  })
}

/** What reads and writes back-ups; fetched soon after the start, so that it is there when nothing else is. */
export const backupFormat = () => import('@core/formats/backup')

/** The whole world as a back-up zip. */
export async function backupOf(library: Library): Promise<Uint8Array> {
  await library.settled()
  const { writeBackup } = await backupFormat()
  return writeBackup(restorable(await wholeOf(await library.store())), new Date(now()).toISOString())
}

/** A back-up of what this page still holds, for when the store is gone. */
export async function backupOfMemory(library: Library): Promise<Uint8Array> {
  const { writeBackup } = await backupFormat()
  return writeBackup(restorable(memoryOf(library)), new Date(now()).toISOString())
}

/** All that this page holds of its world. */
export function memoryOf({ records }: Library): WholeStore {
  return {
    tables: rowsOf(records),
    journal: [],
    files: [],
  }
}

/** What was put back, and what this page did not hold: the work of episodes that were not looked at, and files. */
export interface PutBack {
  episodes: number
  withoutWork: number
  files: number
}

/** What was put back, in words, with what was not. */
export function sayPutBack({ episodes, withoutWork, files }: PutBack): string {
  const not = [
    withoutWork > 0 ? `the steps and scripts of ${withoutWork} of them` : '',
    files > 0 ? `${files} ${files === 1 ? 'file' : 'files'}` : '',
  ].filter(Boolean)
  const back = `${episodes} ${episodes === 1 ? 'episode is' : 'episodes are'} back in the store.`
  return not.length === 0
    ? back
    : `${back} This page did not hold ${not.join(' and ')}: restore your last back-up to have them again.`
}

/**
 * Puts back into the store what this page still holds, and says what it did not hold. Refused where the store has records:
 * nothing is written over what was not read.
 */
export async function putBack(library: Library): Promise<Result<PutBack>> {
  const whole = restorable(memoryOf(library))
  const { episodes } = whole.tables
  const told: PutBack = {
    episodes: episodes.length,
    withoutWork: episodes.filter((e) => e.phase.kind !== 'idea' && !library.isLoaded(e.id)).length,
    files: new Set(episodes.flatMap((e) => e.pictures.map((p) => p.id))).size,
  }
  try {
    const store = await library.store()
    if (!store.isOpen()) await store.open()
    if (await holdsRecords(store))
      return refused(
        'The store has records again, so nothing was written over them. Reload this page to open them; download what is on screen first if you miss something.',
        'store',
      )
    await replaceWhole(store, whole)
  } catch (error) {
    return { ok: false, problem: problemOf(error) }
  }
  await library.reloaded()
  return ok(told)
}

/**
 * A whole that can be restored: rows that their schemas or the rules between records refuse stand beside
 * it, set aside. `tried` are rows that were set aside and are looked at again.
 */
export function restorable(whole: WholeStore, tried: readonly Aside[] = []): WholeStore {
  const aside: Aside[] = [...(whole.aside ?? [])]
  const take = <T extends TableName>(table: T): RecordOf<T>[] => {
    const more = tried.filter((a) => a.table === table).map((a) => a.row)
    const raw: readonly unknown[] = [...whole.tables[table], ...more]
    const read = checkedRows(table, raw, readerOf(table))
    aside.push(...read.aside)
    return read.rows
  }
  const right = rowsFrom(take)
  const faults = new Map(faultsOf(right).map((f) => [`${f.table}/${f.id}`, f]))
  const keep = <T extends TableName>(table: T): RecordOf<T>[] => {
    const rows: readonly RecordOf<T>[] = right[table]
    return rows.filter((row) => {
      const fault = faults.get(`${table}/${row.id}`)
      if (fault) aside.push(asideOf(table, row, fault.why))
      return !fault
    })
  }
  const journal = whole.journal.filter((l) => JournalLine.safeParse(l).success)
  return { tables: rowsFrom(keep), journal, files: whole.files, aside }
}

/**
 * Tries to put records that were set aside back into their tables, mended or as they are; says how many
 * went back.
 */
export async function mendAside(library: Library, mended: readonly Aside[] = []): Promise<number> {
  await library.settled()
  const store = await library.store()
  const changed = new Map(mended.map((a) => [a.key, a]))
  const all = (await store.aside.toArray()).map((a) => changed.get(a.key) ?? a)
  const whole = await wholeOf(store)
  const back = restorable({ ...whole, aside: [] }, all)
  const left = new Set((back.aside ?? []).map((a) => a.key))
  await replaceWhole(store, back)
  await library.reloaded()
  return all.filter((a) => !left.has(a.key)).length
}

/**
 * Restores a back-up in place of all there is. Refused with a reason where it isn't right; then nothing has
 * changed.
 */
export async function restoreInto(library: Library, bytes: Uint8Array): Promise<Result<number>> {
  const { readBackup } = await backupFormat()
  const whole = readBackup(bytes)
  if (!whole.ok) return whole
  try {
    await library.settled()
    await replaceWhole(await library.store(), whole.value)
  } catch (error) {
    return { ok: false, problem: problemOf(error) }
  }
  await library.reloaded()
  return ok(whole.value.tables.episodes.length)
}

const nothing: WholeStore = {
  tables: rowsFrom(() => []),
  journal: [],
  files: [],
}

/** Erases all that a world holds. */
export async function eraseAll(library: Library): Promise<void> {
  await library.settled()
  await replaceWhole(await library.store(), nothing)
  await library.reloaded()
}

/** Drops the bytes of files that neither an episode nor anything undo could bring back refers to. */
export async function sweepFiles(store: Store): Promise<number> {
  return store.transaction('rw', store.rows('episodes'), store.journal, store.files, async () => {
    const kept = new Set<string>()
    await store.rows('episodes').each((e) => {
      for (const f of filesOf(e)) kept.add(f)
    })
    await store.journal.each((line) => {
      for (const c of line.changes)
        if (c.table === 'episodes')
          for (const e of [c.before, c.after]) if (e) for (const f of filesOf(e)) kept.add(f)
    })
    const orphans = (await store.files.toCollection().primaryKeys()).filter((id) => !kept.has(id))
    await store.files.bulkDelete(orphans)
    return orphans.length
  })
}

/** Lets records go that were set aside. */
export async function dropAside(library: Library, keys: readonly string[]): Promise<void> {
  const store = await library.store()
  await store.aside.bulkDelete([...keys])
  await library.reloaded()
}
