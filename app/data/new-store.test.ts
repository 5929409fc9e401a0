import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { schemaVersion } from '@core/records/version'
import { Store } from './database'
import { Library } from './library'
import { isWithoutStore, makeStore } from './new-store'
import { readSnapshot } from './snapshot'

/** All that the browser knows of a store's make. */
async function makeOf(name: string) {
  const open = await openDB(name)
  const names = [...open.objectStoreNames]
  const tx = open.transaction(names)
  const make = names.map((table) => {
    const rows = tx.objectStore(table)
    const { keyPath, autoIncrement } = rows
    const indices = [...rows.indexNames].map((each) => {
      const { keyPath, unique, multiEntry } = rows.index(each)
      return { each, keyPath, unique, multiEntry }
    })
    return { table, keyPath, autoIncrement, indices }
  })
  const { version } = open
  open.close()
  return { version, make }
}

test('a new store is of the same make as the one that Dexie makes, which then finds nothing to change', async () => {
  await makeStore('by hand')
  const dexie = new Store('by Dexie')
  await dexie.open()
  dexie.close()
  const made = await makeOf('by hand')
  expect(made).toEqual(await makeOf('by Dexie'))
  expect(made.make.length).toBeGreaterThan(20)

  const store = new Store('by hand')
  const warned = jest.spyOn(console, 'warn').mockImplementation(() => undefined)
  await store.open()
  expect(store.tables.map((table) => table.name).sort()).toEqual(made.make.map(({ table }) => table))
  store.close()
  // Dexie warns where what it finds is of another make, and makes what is missing.
  expect(warned.mock.calls).toEqual([])
  warned.mockRestore()
  expect(await makeOf('by hand')).toEqual(made)
})

test('it is empty and of this program’s version at once; one that is there is not made again', async () => {
  expect(await isWithoutStore('first')).toBe(true)
  await makeStore('first')
  expect(await isWithoutStore('first')).toBe(false)
  const store = new Store('first')
  await store.meta.put({ key: 'rev', value: 3 })
  store.close()
  await makeStore('first')
  const read = await readSnapshot('first', ({ rev, remarks, tables }) =>
    Promise.resolve({ rev, schema: remarks.get('schema'), shows: tables.get('shows') }),
  )
  expect(read).toEqual({ rev: 3, schema: schemaVersion, shows: [] })
})

test('a store that an older program made meanwhile is left as it is', async () => {
  const older = await openDB('older', 30, {
    upgrade(db) {
      db.createObjectStore('shows', { keyPath: 'id' })
    },
  })
  older.close()
  await expect(makeStore('older')).rejects.toThrow()
  expect(await makeOf('older')).toMatchObject({ version: 30, make: [{ table: 'shows' }] })
})

test('two tabs that open a newcomer’s library at once both have it, made once', async () => {
  const watcher = { changed: () => undefined, trouble: () => undefined }
  const tabs = [new Library('newcomer', watcher), new Library('newcomer', watcher)]
  const opened = await Promise.all(tabs.map((tab) => tab.open()))
  expect(opened.map((each) => each.ok)).toEqual([true, true])
  expect((await makeOf('newcomer')).make.length).toBeGreaterThan(20)
  for (const tab of tabs) tab.close()
})
