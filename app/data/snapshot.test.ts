import 'fake-indexeddb/auto'
import { exampleEpisode, exampleScript, exampleShow, exampleStep } from '@core/examples'
import { schemaVersion } from '@core/records/version'
import { Store } from './database'
import { readSnapshot } from './snapshot'

/** A store with one show, two episodes with their work, and a remark. */
async function made(name: string, version = schemaVersion): Promise<void> {
  const store = new Store(name)
  await store.open()
  await store.rows('shows').put(exampleShow())
  await store.rows('episodes').bulkPut([exampleEpisode({ id: 'a' }), exampleEpisode({ id: 'b' })])
  await store
    .rows('steps')
    .bulkPut(['a', 'a', 'b'].map((episode, i) => exampleStep({ id: `step ${i}`, episode })))
  await store.rows('scripts').put(exampleScript({ Hook: ['There.'] }, 'b'))
  await store.meta.bulkPut([
    { key: 'schema', value: version },
    { key: 'rev', value: 7 },
  ])
  store.close()
}

test('a store that is not there is not made by looking', async () => {
  expect(await readSnapshot('nowhere', () => Promise.resolve('read'))).toBeUndefined()
  expect((await indexedDB.databases()).map(({ name }) => name)).not.toContain('nowhere')
})

test('what is stored is read in one moment, work by its episodes; the store can then be written and brought up to date', async () => {
  await made('read')
  const read = await readSnapshot('read', async ({ rev, tables, remarks, workOf }) => ({
    rev,
    schema: remarks.get('schema'),
    episodes: tables.get('episodes'),
    works: [tables.has('steps'), tables.has('scripts')],
    work: await workOf(['a', 'b', 'c']),
  }))
  expect(read).toMatchObject({ rev: 7, schema: schemaVersion, episodes: [{ id: 'a' }, { id: 'b' }] })
  expect(read?.works).toEqual([false, false])
  expect(read?.work.steps).toMatchObject([{ id: 'step 0' }, { id: 'step 1' }, { id: 'step 2' }])
  expect(read?.work.scripts).toEqual([exampleScript({ Hook: ['There.'] }, 'b')])
  // Nothing is held open that a newer page would wait for.
  const later = await new Promise<number>((done, failed) => {
    const request = indexedDB.open('read', 999)
    request.onsuccess = () => {
      done(request.result.version)
      request.result.close()
    }
    request.onblocked = failed
  })
  expect(later).toBe(999)
})

test('a store of another version, of the browser’s count or of the records’, is left to what brings it up to date', async () => {
  await made('older records', schemaVersion - 1)
  expect(await readSnapshot('older records', () => Promise.resolve('read'))).toBeUndefined()
  await new Promise((done) => {
    const request = indexedDB.open('older store', 30)
    request.onsuccess = () => {
      request.result.close()
      done(undefined)
    }
  })
  expect(await readSnapshot('older store', () => Promise.resolve('read'))).toBeUndefined()
})
