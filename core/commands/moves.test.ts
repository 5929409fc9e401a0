import fc from 'fast-check'
import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf, valueOf } from '../examples'
import type { Records } from '../model'
import { numbersOf } from '../rhythm/numbering'
import { moveToSlot, pullEpisodes, pushEpisode, swapEpisodes } from './moves'

const context = exampleContext()
const days = ['2026-11-26', '2026-12-03', '2026-12-10', '2026-12-17', '2026-12-24', '2026-12-31']
const on = (places: Record<string, number>, show = {}): Records => exampleRecords(Object.entries(places).map(([id, n]) => exampleEpisode({ id, title: id, code: `${id.toUpperCase()}234`, phase: { name: 'work', since: '2026-11-01T00:00:00.000Z' }, place: { on: 'slot', day: days[n] ?? '' } })), 'small', show)
const where = (r: Records) => Object.fromEntries([...r.episodes.values()].map((e) => [e.id, e.place.on === 'slot' ? days.indexOf(e.place.day) : -1]))

test('a push goes up to the next open slot, over skipped ones', () => {
  expect(where(after(on({ a: 0, b: 1, c: 3 }), pushEpisode(on({ a: 0, b: 1, c: 3 }), { episode: 'a' }, context)))).toEqual({ a: 1, b: 2, c: 3 })
  const skipped = on({ a: 0, b: 1 }, { skipped: [days[2]] })
  expect(where(after(skipped, pushEpisode(skipped, { episode: 'a' }, context)))).toEqual({ a: 1, b: 3 })
  expect(valueOf(pushEpisode(on({ a: 0, b: 1 }), { episode: 'a' }, context)).sentence).toBe('Pushed “a” to Thu 3 Dec, 1 more one slot later')
})

test('a pull closes the gap for those in a row behind it', () => {
  const r = on({ a: 0, b: 2, c: 3, d: 5 })
  expect(where(after(r, pullEpisodes(r, { show: 'show', day: days[1] ?? '' }, context)))).toEqual({ a: 0, b: 1, c: 2, d: 5 })
  expect(refusalOf(pullEpisodes(r, { show: 'show', day: days[0] ?? '' }, context))).toMatch(/not open/)
})

test('a swap changes two; a move onto a filled slot pushes who stands there', () => {
  const r = on({ a: 0, b: 1, c: 2 })
  expect(where(after(r, swapEpisodes(r, { episode: 'a', other: 'c' }, context)))).toEqual({ a: 2, b: 1, c: 0 })
  expect(where(after(r, moveToSlot(r, { episode: 'c', day: days[0] ?? '' }, context)))).toEqual({ a: 1, b: 2, c: 0 })
  expect(refusalOf(swapEpisodes(r, { episode: 'a', other: 'gone' }, context))).toMatch(/no longer/)
})

test('a topical one that loses its window says so', () => {
  const r = on({ a: 0 })
  const e = r.episodes.get('a')
  const topical = { ...r, episodes: new Map(e ? [['a', { ...e, nature: { is: 'topical' as const, staleAfter: '2026-11-30' } }]] : []) }
  expect(valueOf(pushEpisode(topical, { episode: 'a' }, context)).sentence).toMatch(/“a” is then stale after Mon 30 Nov/)
})

test('whatever is moved: nobody is lost, no two share a slot, numbers follow release order', () => {
  const wish = fc.record({ do: fc.constantFrom('push', 'pull', 'swap', 'move'), who: fc.constantFrom('a', 'b', 'c', 'd'), other: fc.constantFrom('a', 'b', 'c', 'd'), at: fc.nat({ max: 5 }) })
  fc.assert(fc.property(fc.uniqueArray(fc.nat({ max: 5 }), { minLength: 4, maxLength: 4 }), fc.array(wish, { maxLength: 8 }), ([a = 0, b = 1, c = 2, d = 3], wishes) => {
    let r = on({ a, b, c, d })
    for (const w of wishes) {
      const day = days[w.at] ?? ''
      const done = w.do === 'push' ? pushEpisode(r, { episode: w.who }, context) : w.do === 'pull' ? pullEpisodes(r, { show: 'show', day }, context) : w.do === 'swap' ? swapEpisodes(r, { episode: w.who, other: w.other }, context) : moveToSlot(r, { episode: w.who, day }, context)
      if (done.ok) r = after(r, done)
    }
    const placed = [...r.episodes.values()].flatMap((e) => (e.place.on === 'slot' ? [e.place.day] : []))
    expect(placed).toHaveLength(4)
    expect(new Set(placed).size).toBe(4)
    const show = r.shows.get('show')
    const numbers = show && numbersOf(show, r.episodes.values(), context.now).episodes
    const inOrder = [...r.episodes.values()].sort((x, y) => ((x.place.on === 'slot' ? x.place.day : '') < (y.place.on === 'slot' ? y.place.day : '') ? -1 : 1)).map((e) => numbers?.get(e.id) ?? 0)
    expect(inOrder).toEqual([...inOrder].sort((x, y) => x - y))
  }))
})
