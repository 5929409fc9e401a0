import { ExampleStorage } from '@app/data/example-storage'
import { KeptDeeds } from './letters'

let storage: ExampleStorage
beforeEach(() => {
  storage = new ExampleStorage()
  Object.assign(globalThis, { localStorage: storage })
})
afterEach(() => {
  jest.restoreAllMocks()
})
const ask = (text: string) => ({ kind: 'ask' as const, text })
const asked = (kept: KeptDeeds) => kept.all.map(({ deed }) => (deed.kind === 'ask' ? deed.text : deed.kind))

test('deeds stand in the order in which they were done, also in one millisecond and when the clock is set back', () => {
  const kept = new KeptDeeds('secret')
  const clock = jest.spyOn(Date, 'now').mockReturnValue(1_000)
  const words = ['first', 'second', 'third', 'fourth']
  for (const [i, word] of words.entries()) {
    if (i === 2) clock.mockReturnValue(400)
    kept.add(ask(word))
  }
  expect(asked(kept)).toEqual(words)
  expect(new Set(kept.all.map((d) => d.n)).size).toBe(4)
})

test('each page keeps its own; what is broken or let go is not among them', () => {
  const [mine, other] = [new KeptDeeds('mine'), new KeptDeeds('other')]
  mine.add(ask('mine'))
  other.add(ask('other'))
  mine.add({ kind: 'opened' })
  storage.setItem('lamp-reel.helper.mine.broken', '{"id":1}')
  storage.setItem('lamp-reel.helper.mine.half', '{"id":')
  expect(asked(mine)).toEqual(['mine', 'opened'])
  const [first] = mine.all
  if (!first) throw new Error('nothing is kept')
  mine.keep({ ...first, sent: true })
  expect(mine.all.map((d) => d.sent)).toEqual([true, false])
  mine.forget([first.id])
  expect([asked(mine), asked(other)]).toEqual([['opened'], ['other']])
})

test('a browser that stores nothing more throws, and what is kept stays', () => {
  const kept = new KeptDeeds('secret')
  kept.add(ask('first'))
  storage.full = true
  expect(() => {
    kept.add(ask('second'))
  }).toThrow()
  expect(asked(kept)).toEqual(['first'])
})
