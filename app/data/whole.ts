import { readBackup, writeBackup, type Whole } from '@core/formats/backup'
import { filesOf } from '@core/commands/files'
import { tableNames } from '@core/model'
import { schemaVersion } from '@core/model/migrations'
import { fine, type Result } from '@core/result'
import { now } from './clock'
import type { Store } from './database'
import type { Library } from './library'
import { problemOf } from './problems'

/** Reads everything that a world's store holds, in one transaction. */
export async function wholeOf(store: Store): Promise<Whole> {
  return store.transaction('r', store.tables, async () => ({
    tables: {
      shows: await store.shows.toArray(),
      outlets: await store.outlets.toArray(),
      recipes: await store.recipes.toArray(),
      episodes: await store.episodes.toArray(),
      steps: await store.steps.toArray(),
      scripts: await store.scripts.toArray(),
      keywords: await store.keywords.toArray(),
      settings: await store.settings.toArray(),
      standing: await store.standing.toArray(),
      busy: await store.busy.toArray(),
      reservations: await store.reservations.toArray(),
      launches: await store.launches.toArray(),
    },
    journal: await store.journal.toArray(),
    files: await store.files.toArray(),
  }))
}

/** Replaces all that a store holds, in one transaction: all of it or nothing. */
export async function replaceWhole(
  store: Store,
  whole: Whole,
  remarks: { key: string; value: string | number }[] = [],
): Promise<void> {
  await store.transaction('rw', store.tables, async () => {
    for (const table of store.tables) await table.clear()
    for (const name of tableNames) await store.rows(name).bulkAdd(whole.tables[name])
    await store.journal.bulkAdd(whole.journal)
    await store.files.bulkAdd(whole.files)
    await store.meta.bulkAdd([{ key: 'schema', value: schemaVersion }, ...remarks])
  })
}

/** The whole world as a back-up zip. */
export async function backupOf(library: Library): Promise<Uint8Array> {
  await library.settled()
  return writeBackup(await wholeOf(library.store), new Date(now()).toISOString())
}

/** Restores a back-up in place of all there is. Refused with a reason where it isn't right; then nothing has changed. */
export async function restoreInto(library: Library, bytes: Uint8Array): Promise<Result<number>> {
  const whole = readBackup(bytes)
  if (!whole.ok) return whole
  try {
    await library.settled()
    await replaceWhole(library.store, whole.value)
  } catch (error) {
    return { ok: false, problem: problemOf(error) }
  }
  await library.reloaded()
  return fine(whole.value.tables.episodes.length)
}

const nothing: Whole = {
  tables: {
    shows: [],
    outlets: [],
    recipes: [],
    episodes: [],
    steps: [],
    scripts: [],
    keywords: [],
    settings: [],
    standing: [],
    busy: [],
    reservations: [],
    launches: [],
  },
  journal: [],
  files: [],
}

/** Erases all that a world holds. */
export async function eraseAll(library: Library): Promise<void> {
  await library.settled()
  await replaceWhole(library.store, nothing)
  await library.reloaded()
}

/** Drops the bytes of files that neither an episode nor anything undo could bring back refers to. */
export async function sweepFiles(store: Store): Promise<number> {
  return store.transaction('rw', store.episodes, store.journal, store.files, async () => {
    const kept = new Set<string>()
    await store.episodes.each((e) => {
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
