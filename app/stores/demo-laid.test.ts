import { createPinia, setActivePinia } from 'pinia'
import { layDemo } from '@app/data/demo'
import { useLibrary } from './library'

jest.mock('@app/data/demo', () => ({ layDemo: jest.fn(), demoDay: () => undefined }))
jest.mock('@app/data/library', () => ({
  Library: jest.fn(() => ({
    records: { shows: new Map() },
    open: () => Promise.resolve({ ok: true, value: undefined }),
    settled: () => Promise.resolve(),
    close: () => undefined,
  })),
}))
const laying = jest.mocked(layDemo)

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
  laying.mockImplementationOnce((_library, _size, progress) => {
    progress('Painting pictures', 0.5)
    shares.push(library.progress?.share)
    return Promise.resolve(true)
  })
  await library.layDemoAnew()
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
