import { createPinia, setActivePinia } from 'pinia'
import { demoDay, layDemo } from '@app/data/demo'
import { Library } from '@app/data/library'
import { useLibrary } from './library'

jest.mock('@app/data/demo', () => ({ layDemo: jest.fn(), demoDay: jest.fn() }))
jest.mock('@app/data/library', () => ({
  Library: jest.fn(() => ({
    records: { shows: new Map() },
    open: () => Promise.resolve({ ok: true, value: undefined }),
    settled: () => Promise.resolve(),
    close: () => undefined,
  })),
}))
const laying = jest.mocked(layDemo)

// What is fetched a while after the start is not waited for.
beforeAll(() => jest.useFakeTimers())

beforeEach(() => {
  Object.assign(globalThis, {
    document: { documentElement: { toggleAttribute: () => undefined }, querySelector: () => null },
    localStorage: { getItem: () => null, setItem: () => undefined },
  })
  setActivePinia(createPinia())
})

test('laying the demo anew tells how far it is, and when it is done', async () => {
  const library = useLibrary()
  const shares: (number | undefined)[] = []
  laying.mockImplementation((_library, _size, progress) => {
    progress('Painting pictures', 0.5)
    shares.push(library.progress?.share)
    return Promise.resolve(true)
  })
  // Pressed twice, it is laid once.
  await Promise.all([library.layDemoAnew(), library.layDemoAnew()])
  expect(shares).toEqual([0.5])
  expect(library.progress).toBeUndefined()
  expect(library.saying).toMatchObject({ kind: 'done', text: 'The demo is laid out anew.' })
})

test('where the demo cannot be laid out, that is said: in place, and where it is entered', async () => {
  const library = useLibrary()
  laying.mockRejectedValue(new Error('The demo could not be laid out.'))
  await library.layDemoAnew()
  expect(library.progress).toBeUndefined()
  expect(library.saying).toMatchObject({ kind: 'refused', text: expect.stringMatching(/stays as it was/) })
  expect(library.trouble).toBeUndefined()
  await library.enter('demo')
  expect(library.state).toBe('refused')
  expect(library.progress).toBeUndefined()
  expect(library.trouble?.sentence).toMatch(/could not be laid out/)
})

test('whoever leaves the demo while it is laid anew hears no more of it', async () => {
  const library = useLibrary()
  const went: ((how: 'well' | 'badly') => void)[] = []
  laying.mockImplementation(
    (_library, _size, progress) =>
      new Promise((done, failed) => {
        went.push((how) => {
          progress('Storing it', 0.9)
          if (how === 'well') done(true)
          else failed(new Error('The store is closed.'))
        })
      }),
  )
  for (const how of ['well', 'badly'] as const) {
    const laid = library.layDemoAnew()
    while (went.length === 0) await Promise.resolve()
    expect(library.progress).toBeDefined()
    await library.enter('own')
    went.pop()?.(how)
    await laid
    expect([library.state, library.progress, library.saying, library.trouble]).toEqual([
      'open',
      undefined,
      undefined,
      undefined,
    ])
  }
})

test('a demo of another day is offered to be laid out for today until it is, here or in another tab', async () => {
  const library = useLibrary()
  laying.mockResolvedValue(true)
  const day = jest.mocked(demoDay).mockReturnValue('2026-11-20')
  await library.enter('demo')
  expect(library.demoOf).toBe('2026-11-20')
  const [, watcher] = jest.mocked(Library).mock.lastCall ?? []
  day.mockReturnValue(undefined)
  watcher?.readAnew?.()
  await jest.advanceTimersByTimeAsync(0)
  expect(library.demoOf).toBeUndefined()
})
