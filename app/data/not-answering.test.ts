import 'fake-indexeddb/auto'
import { jotIdea } from '@core/commands/ideas'
import { addShow } from '@core/commands/shows'
import { refusalOf, valueOf } from '@core/examples'
import { Library } from './library'

let mockAnswers = false
jest.mock('./writing', (): unknown => {
  if (!mockAnswers) throw new Error('nobody answers')
  return jest.requireActual('./writing')
})
let mockHasStore = true
jest.mock('./database', (): unknown => {
  if (!mockHasStore) throw new Error('nobody answers')
  return jest.requireActual('./database')
})

const show = {
  title: 'Tern & Tiller',
  kind: 'video' as const,
  zone: 'UTC',
  rhythm: { kind: 'week' as const, every: 1, weekdays: [3] },
  time: '17:00',
  start: '2026-12-03',
  hours: [60, 60, 60, 60, 60, 60, 60],
}
const open: Library[] = []
let writes: boolean[] = []

async function opened(name: string) {
  writes = []
  const library = new Library(name, {
    changed: () => undefined,
    trouble: () => undefined,
    writing: (waits) => writes.push(waits),
  })
  open.push(library)
  valueOf(await library.open())
  return library
}
afterEach(() => {
  for (const library of open.splice(0)) library.close()
})

test('where the write path cannot be fetched, what was done is refused; done again later, it is kept', async () => {
  mockAnswers = false
  const library = await opened('not answering')
  expect(refusalOf(await library.perform(addShow, show))).toMatch(/does not answer, so this was not done/)
  expect(refusalOf(await library.step('undo'))).toMatch(/does not answer/)
  expect(library.records.shows.size).toBe(0)
  expect(writes.at(-1)).toBe(false)
  mockAnswers = true
  valueOf(await library.perform(addShow, show))
  expect((await (await library.store()).rows('shows').toArray()).map((s) => s.title)).toEqual([
    'Tern & Tiller',
  ])
})

test('what is done before the write path is there waits for it, in its order, and is told as waiting', async () => {
  mockAnswers = true
  const library = await opened('early')
  const first = library.perform(addShow, show)
  expect(library.records.shows.size).toBe(0)
  expect(writes).toEqual([true])
  const undone = library.step('undo')
  await library.settled()
  expect([valueOf(await first).sentence, valueOf(await undone)]).toEqual([
    expect.stringMatching(/Tern & Tiller/),
    expect.stringMatching(/Tern & Tiller/),
  ])
  expect(await (await library.store()).rows('shows').count()).toBe(0)
  expect(writes.at(-1)).toBe(false)
  // From now on a change is there at once.
  void library.perform(addShow, show)
  const [made] = [...library.records.shows.values()]
  expect(made?.title).toBe('Tern & Tiller')
  void library.perform(jotIdea, { show: made?.id ?? '', line: 'Ribs' })
  expect([...library.records.episodes.values()].map((e) => e.title)).toEqual(['Ribs'])
  await library.settled()
  expect(await (await library.store()).rows('episodes').count()).toBe(1)
})

test('a library that was left opens its store no more', async () => {
  mockAnswers = true
  const library = await opened('left')
  library.close()
  expect((await library.fetchWriting()).ok).toBe(false)
  await expect(library.file('f')).rejects.toThrow('left')
})

test('what is there is read and shown without the code of the store; what needs it is refused until it is there', async () => {
  mockAnswers = true
  const first = await opened('read alone')
  valueOf(await first.perform(addShow, show))
  first.close()
  jest.resetModules()
  mockHasStore = false
  const again = await opened('read alone')
  expect([...again.records.shows.values()].map((s) => s.title)).toEqual(['Tern & Tiller'])
  expect(refusalOf(await again.step('undo'))).toMatch(/does not answer/)
  await expect(again.file('f')).rejects.toThrow('not fetched')
  expect(again.records.shows.size).toBe(1)
  mockHasStore = true
  valueOf(await again.step('undo'))
  expect(again.records.shows.size).toBe(0)
})
