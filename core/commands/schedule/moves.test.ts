import fc from 'fast-check'
import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf, valueOf } from '../../examples'
import type { Records } from '../../records'
import { numbersOf } from '../../rhythm/numbering'
import { datesOf } from '../../rhythm/rule'
import { changeRhythm } from '../shows/change-rhythm'
import { moveToSlot } from './move-to-slot'
import { pullEpisodes } from './pull-episodes'
import { pushEpisode } from './push-episode'
import { swapEpisodes } from './swap-episodes'
import { runs } from '../../runs'

const context = exampleContext()
const days = ['2026-11-26', '2026-12-03', '2026-12-10', '2026-12-17', '2026-12-24', '2026-12-31']
const on = (places: Record<string, number>, show = {}): Records =>
  exampleRecords(
    Object.entries(places).map(([id, n]) =>
      exampleEpisode({
        id,
        title: id,
        code: `${id.toUpperCase()}234`,
        phase: { kind: 'work', since: '2026-11-01T00:00:00.000Z' },
        place: { kind: 'slot', day: days[n] ?? '' },
      }),
    ),
    'small',
    show,
  )
const where = (r: Records) =>
  Object.fromEntries(
    [...r.episodes.values()].map((e) => [e.id, e.place.kind === 'slot' ? days.indexOf(e.place.day) : -1]),
  )

test('a push goes up to the next open slot, over skipped ones', () => {
  expect(
    where(after(on({ a: 0, b: 1, c: 3 }), pushEpisode(on({ a: 0, b: 1, c: 3 }), { episode: 'a' }, context))),
  ).toEqual({ a: 1, b: 2, c: 3 })
  const skipped = on({ a: 0, b: 1 }, { skipped: [days[2]] })
  expect(where(after(skipped, pushEpisode(skipped, { episode: 'a' }, context)))).toEqual({ a: 1, b: 3 })
  expect(valueOf(pushEpisode(on({ a: 0, b: 1 }), { episode: 'a' }, context)).sentence).toBe(
    'Pushed “a” to Thu 3 Dec, 1 more one slot later',
  )
})

test('a pull closes the gap for those in a row behind it', () => {
  const r = on({ a: 0, b: 2, c: 3, d: 5 })
  expect(where(after(r, pullEpisodes(r, { show: 'show', day: days[1] ?? '' }, context)))).toEqual({
    a: 0,
    b: 1,
    c: 2,
    d: 5,
  })
  expect(refusalOf(pullEpisodes(r, { show: 'show', day: days[0] ?? '' }, context))).toMatch(/not open/)
})

test('a swap changes two; a move onto a filled slot pushes who stands there', () => {
  const r = on({ a: 0, b: 1, c: 2 })
  expect(where(after(r, swapEpisodes(r, { episode: 'a', other: 'c' }, context)))).toEqual({
    a: 2,
    b: 1,
    c: 0,
  })
  expect(where(after(r, moveToSlot(r, { episode: 'c', day: days[0] ?? '' }, context)))).toEqual({
    a: 1,
    b: 2,
    c: 0,
  })
  expect(refusalOf(swapEpisodes(r, { episode: 'a', other: 'gone' }, context))).toMatch(/no longer/)
})

test('a topical one that loses its window says so', () => {
  const r = on({ a: 0 })
  const e = r.episodes.get('a')
  const topical = {
    ...r,
    episodes: new Map(
      e ? [['a', { ...e, nature: { kind: 'topical' as const, staleAfter: '2026-11-30' } }]] : [],
    ),
  }
  expect(valueOf(pushEpisode(topical, { episode: 'a' }, context)).sentence).toMatch(
    /“a” is then stale after Mon 30 Nov/,
  )
})

test('whatever is moved: nobody is lost, no two share a slot, numbers follow release order', () => {
  const wish = fc.record({
    do: fc.constantFrom('push', 'pull', 'swap', 'move'),
    who: fc.constantFrom('a', 'b', 'c', 'd'),
    other: fc.constantFrom('a', 'b', 'c', 'd'),
    at: fc.nat({ max: 5 }),
  })
  const tried = new Set<string>()
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.nat({ max: 5 }), { minLength: 4, maxLength: 4 }),
      fc.array(wish, { maxLength: 8 }),
      ([a = 0, b = 1, c = 2, d = 3], wishes) => {
        let r = on({ a, b, c, d })
        for (const w of wishes) {
          const day = days[w.at] ?? ''
          const done =
            w.do === 'push'
              ? pushEpisode(r, { episode: w.who }, context)
              : w.do === 'pull'
                ? pullEpisodes(r, { show: 'show', day }, context)
                : w.do === 'swap'
                  ? swapEpisodes(r, { episode: w.who, other: w.other }, context)
                  : moveToSlot(r, { episode: w.who, day }, context)
          if (!done.ok) continue
          tried.add(w.do)
          r = after(r, done)
        }
        const placed = [...r.episodes.values()].flatMap((e) => (e.place.kind === 'slot' ? [e.place.day] : []))
        expect(placed).toHaveLength(4)
        expect(new Set(placed).size).toBe(4)
        const show = r.shows.get('show')
        const numbers = show && numbersOf(show, r.episodes.values(), context.now).episodes
        const inOrder = [...r.episodes.values()]
          .sort((x, y) =>
            (x.place.kind === 'slot' ? x.place.day : '') < (y.place.kind === 'slot' ? y.place.day : '')
              ? -1
              : 1,
          )
          .map((e) => numbers?.get(e.id) ?? 0)
        expect(inOrder).toEqual([...inOrder].sort((x, y) => x - y))
      },
    ),
  )
  expect([...tried].sort()).toEqual(['move', 'pull', 'push', 'swap'])
})

test('whatever becomes of the rhythm, from whatever date, no episode is lost', () => {
  const change = fc.record({
    rhythm: fc.oneof(
      fc.record({
        kind: fc.constant('week' as const),
        every: fc.integer({ min: 1, max: 3 }),
        weekdays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 }),
      }),
      fc.record({
        kind: fc.constant('month' as const),
        every: fc.constant(1),
        nths: fc.uniqueArray(fc.constantFrom(1, 2, 3, 4, -1), { minLength: 1 }),
        weekday: fc.integer({ min: 0, max: 6 }),
      }),
      fc.record({
        kind: fc.constant('day' as const),
        every: fc.integer({ min: 1, max: 9 }),
        season: fc.integer({ min: 1, max: 4 }),
      }),
    ),
    start: fc.constantFrom('2026-11-05', '2026-11-24', '2026-12-09', '2027-02-01'),
    pauses: fc.array(
      fc.constantFrom({ from: '2026-12-01', to: '2026-12-12' }, { from: '2026-12-24', to: '2026-12-24' }),
      { maxLength: 2 },
    ),
    also: fc.boolean().map((more) =>
      more
        ? [
            {
              name: 'Interview',
              rule: 'FREQ=MONTHLY;INTERVAL=1;BYDAY=1SA',
              start: '2026-11-25',
              time: '10:00',
            },
          ]
        : [],
    ),
    displaced: fc.constantFrom('nearest' as const, 'keep' as const, 'off' as const, 'ideas' as const),
  })
  let tried = 0
  fc.assert(
    fc.property(fc.array(change, { minLength: 1, maxLength: 3 }), (changes) => {
      let r = on({ a: 0, b: 1, c: 3, d: 4 })
      for (const c of changes) {
        const done = changeRhythm(r, { show: 'show', time: '17:00', ...c }, context)
        if (!done.ok) continue
        tried++
        r = after(r, done)
      }
      const show = r.shows.get('show')
      expect([...r.episodes.keys()]).toEqual(['a', 'b', 'c', 'd'])
      const slots: string[] = []
      for (const e of r.episodes.values()) {
        expect(['work', 'idea']).toContain(e.phase.kind)
        if (e.place.kind === 'slot') {
          slots.push(e.place.day)
          expect(show && datesOf(show.rhythm, e.place.day, e.place.day)).toEqual([e.place.day])
        }
      }
      expect(new Set(slots).size).toBe(slots.length)
    }),
    { numRuns: runs(50) },
  )
  expect(tried).toBeGreaterThan(runs(62))
})

test('a change from a date on leaves the slots before it as they were', () => {
  const r = on({ a: 0, b: 1, c: 3 })
  const next = after(
    r,
    changeRhythm(
      r,
      {
        show: 'show',
        rhythm: { kind: 'week', every: 1, weekdays: [0] },
        time: '09:00',
        start: '2026-12-07',
        displaced: 'keep',
      },
      context,
    ),
  )
  expect(next.episodes.get('b')?.place).toEqual({ kind: 'slot', day: days[1] })
  expect(next.episodes.get('c')?.place).toEqual({ kind: 'own', day: days[3], time: '17:00' })
})
