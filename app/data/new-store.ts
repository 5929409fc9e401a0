import { openDB } from 'idb'
import { schemaVersion } from '@core/records/version'
import { shapeNow, versionInBrowser } from './store-shape'

/** Whether a world has no store at all; a browser that cannot tell is taken to have one. */
export async function isWithoutStore(name: string): Promise<boolean> {
  if (!('databases' in indexedDB)) return false
  const there = await indexedDB.databases().catch(() => undefined)
  return there !== undefined && !there.some((store) => store.name === name)
}

/**
 * Makes the store of a world that has none yet, empty and whole or not at all: as Dexie would make it, but without its
 * code, so that a newcomer sees the first screen without waiting for that.
 *
 * @throws what the browser throws where it does not let a store be made
 */
export async function makeStore(name: string): Promise<void> {
  const made = await openDB(name, versionInBrowser, {
    upgrade(db, from, _to, making) {
      // Another tab was quicker, with an older program: what is there is brought up to date elsewhere.
      if (from > 0) {
        making.done.catch(() => undefined)
        making.abort()
        return
      }
      for (const [table, short] of Object.entries(shapeNow())) {
        const [key = '', ...indices] = short.split(', ')
        const rows = db.createObjectStore(table, { keyPath: key })
        for (const index of indices) {
          const path = index.replace(/^\*/, '')
          rows.createIndex(path, path, { multiEntry: path !== index })
        }
      }
      void making.objectStore('meta').put({ key: 'schema', value: schemaVersion })
    },
  })
  made.close()
}
