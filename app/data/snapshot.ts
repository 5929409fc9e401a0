import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb'
import type { Aside } from '@core/formats/backup'
import { tableNames, type Id, type TableName } from '@core/records'
import { schemaVersion } from '@core/records/version'
import type { Meta } from './database'

/** Tables that are read with their episodes. */
export const ofEpisodes: ReadonlySet<TableName> = new Set<TableName>(['steps', 'scripts'])

type RowsOf = { [T in Exclude<TableName, 'steps'>]: { key: string; value: unknown } }

/** What is read of a store. */
interface Kept extends DBSchema, RowsOf {
  steps: { key: string; value: unknown; indexes: { episode: string } }
  meta: { key: string; value: Meta }
  aside: { key: string; value: Aside }
}
type Name = TableName | 'meta' | 'aside'
const all: readonly Name[] = [...tableNames, 'meta', 'aside']

/** What a store holds at one moment, as it is stored and not yet looked at. */
export interface Snapshot {
  /** How often it had been written, over all tabs. */
  rev: number
  /** Remarks about the store itself, by their keys. */
  remarks: ReadonlyMap<string, Meta['value']>
  /** The rows of every table but those that are read with their episodes. */
  tables: ReadonlyMap<TableName, readonly unknown[]>
  aside: Aside[]
  /** The steps and scripts of some episodes, in the same moment. To be asked for before anything else is waited for. */
  workOf: (episodes: readonly Id[]) => Promise<{ steps: unknown[]; scripts: unknown[] }>
}

/** Opens a store to read it; nothing where there is none with all tables of this program. */
async function openToRead(name: string): Promise<IDBPDatabase<Kept> | undefined> {
  const found = { isMissing: false }
  try {
    const open = await openDB<Kept>(name, undefined, {
      upgrade(_db, _from, _to, making) {
        found.isMissing = true
        making.done.catch(() => undefined)
        making.abort()
      },
      // A newer page wants to bring the store up to date.
      blocking: () => {
        open.close()
      },
    })
    // Another version of the program that looked at it may have counted it up; what it holds says whose it is.
    if (all.every((table) => open.objectStoreNames.contains(table))) return open
    open.close()
    return undefined
  } catch (error) {
    if (found.isMissing) return undefined
    throw error
  }
}

type Reading = IDBPTransaction<Kept, Name[]>

async function workIn(
  tx: Reading,
  episodes: readonly Id[],
): Promise<{ steps: unknown[]; scripts: unknown[] }> {
  const byEpisode = tx.objectStore('steps').index('episode')
  const scripts = tx.objectStore('scripts')
  const [steps, texts] = await Promise.all([
    Promise.all(episodes.map((id) => byEpisode.getAll(id))),
    Promise.all(episodes.map((id) => scripts.get(id))),
  ])
  return { steps: steps.flat(), scripts: texts.filter((text) => text !== undefined) }
}

async function snapshotIn(tx: Reading): Promise<Snapshot | undefined> {
  const names = tableNames.filter((name) => !ofEpisodes.has(name))
  const [remarks, aside, ...rows] = await Promise.all([
    tx.objectStore('meta').getAll(),
    tx.objectStore('aside').getAll(),
    ...names.map((name) => tx.objectStore(name).getAll()),
  ])
  const said = new Map(remarks.map(({ key, value }) => [key, value]))
  if (said.get('schema') !== schemaVersion) return undefined
  const rev = said.get('rev')
  return {
    rev: typeof rev === 'number' ? rev : 0,
    remarks: said,
    tables: new Map(names.map((name, i) => [name, rows[i] ?? []])),
    aside,
    workOf: (episodes) => workIn(tx, episodes),
  }
}

/**
 * Reads a store in one transaction, so that nothing half written is seen; nothing where there is no store of this
 * program's version. It is read with the browser's own means: what Dexie adds is for writing and looking up, and is
 * fetched after the start.
 *
 * @throws what the browser throws where it does not let the store be opened or read
 */
export async function readSnapshot<T>(
  name: string,
  work: (snapshot: Snapshot) => Promise<T>,
): Promise<T | undefined> {
  const open = await openToRead(name)
  if (!open) return undefined
  try {
    const snapshot = await snapshotIn(open.transaction([...all], 'readonly'))
    return snapshot && (await work(snapshot))
  } finally {
    open.close()
  }
}
