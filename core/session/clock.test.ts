import { exampleAt } from '../examples'
import { usualCosts } from '../plan/shots'
import type { Session } from '../records'
import { cellsOf, clockOf, minutesInHand, tookIn } from './clock'
import { shotFrom, type Item } from './items'
import { bySetUp, inOrder, shotsToOrder } from './order'

const at = (minutes: number) => new Date(Date.parse(exampleAt) + minutes * 60_000).toISOString()
const ms = (minutes: number) => Date.parse(at(minutes))

function item(id: string, place: string, minutes: number, got = false): Item {
  const plan = { place, minutes }
  return {
    id,
    kind: 'shot',
    episode: 'e',
    name: id,
    words: '',
    where: '',
    number: 1,
    picture: undefined,
    plan,
    shot: shotFrom(id, plan),
    got,
    takes: [],
  }
}

const runs = { kind: 'running' as const, begun: at(0), rolled: at(40), at: 'b', since: at(52) }
/** Begun at 0, the first shot at 40; `a` got at 52, a break from 52 to 60, `b` in hand. */
const session: Session = {
  id: 's',
  kind: 'film',
  day: '2026-11-24',
  steps: [],
  behind: {},
  order: ['a', 'b', 'c'],
  put: [],
  shots: [],
  checked: [],
  stretches: [
    { kind: 'done', of: 'a', from: at(40), to: at(52) },
    { kind: 'break', of: '', from: at(52), to: at(60) },
  ],
  run: runs,
  createdAt: exampleAt,
  updatedAt: exampleAt,
}
const items = [item('a', 'Bench', 10, true), item('b', 'Bench', 8), item('c', 'Yard', 20)]

test('on film things stand one behind the other, with what changing costs between them and breaks where they were', () => {
  const cells = cellsOf(session, items, 45, usualCosts)
  expect(cells.map((c) => [c.item?.id ?? c.kind, c.start, c.minutes])).toEqual([
    ['setup', 0, 45],
    ['a', 45, 10],
    ['break', 55, 8],
    ['b', 63, 8],
    ['c', 86, 20],
  ])
  expect(cells.map((c) => c.turns)).toEqual([false, true, false, false, true])
})

test('a break before something that was put off stands before what came instead', () => {
  const put = items.filter((i) => i.id !== 'b')
  const run = { ...runs, at: 'c', since: at(60) }
  const skipped = [...session.stretches, { kind: 'done' as const, of: 'b', from: at(60), to: at(60) }]
  const cells = cellsOf({ ...session, run, stretches: skipped }, put, 45, usualCosts)
  expect(cells.map((c) => c.item?.id ?? c.kind)).toEqual(['setup', 'a', 'break', 'c'])
})

test('ahead is what was given to what is done less what has gone; a break counts for neither', () => {
  // Planned: 45 set-up, 10 for a, 4 of b. Gone: 64 less 8 of the break.
  const clock = clockOf(session, items, 45, usualCosts, ms(64))
  expect(clock).toMatchObject({ soFar: 4, given: 8, ahead: 3, breaks: 8 })
  // Left: 4 of b, 15 to change, 20 of c.
  expect(clock?.ends).toBe(ms(64 + 39))
})

test('what takes longer than it was given is behind, minute by minute', () => {
  expect(clockOf(session, items, 45, usualCosts, ms(80))?.ahead).toBe(45 + 10 + 8 - 72)
  expect(clockOf({ ...session, run: { kind: 'planned' } }, items, 45, usualCosts, ms(80))).toBeUndefined()
})

test('while a break goes on nothing moves but the end', () => {
  const run = { ...runs, pause: at(66) }
  const [early, late] = [70, 90].map((m) => clockOf({ ...session, run }, items, 45, usualCosts, ms(m)))
  expect([early?.soFar, late?.soFar, early?.ahead, late?.ahead]).toEqual([6, 6, 3, 3])
  expect((late?.ends ?? 0) - (early?.ends ?? 0)).toBe(20 * 60_000)
  expect(minutesInHand({ ...session, run }, ms(90))).toBe(6)
})

test('what each thing took leaves breaks out', () => {
  const stretches: Session['stretches'] = [
    ...session.stretches,
    { kind: 'break', of: '', from: at(65), to: at(70) },
    { kind: 'done', of: 'b', from: at(60), to: at(78) },
  ]
  expect([...tookIn({ stretches })]).toEqual([
    ['a', 12],
    ['b', 13],
  ])
})

test('what came to mind stands behind the last that is filmed the same way', () => {
  const more = [...items, item('new', 'Bench', 5)]
  expect(inOrder(more, ['a', 'b', 'c']).map((i) => i.id)).toEqual(['a', 'b', 'new', 'c'])
  expect(inOrder([...items, item('far', 'Slip', 5)], ['a', 'b', 'c']).at(-1)?.id).toBe('far')
})

test('by set-up each is named once, with its minutes, what was got, and what changing to it costs', () => {
  const rows = bySetUp(items, usualCosts, () => '')
  expect(rows.map((r) => [r.name, r.minutes, r.got, r.change])).toEqual([
    ['Bench', 18, 1, 0],
    ['Yard', 20, 0, 15],
  ])
})

test('what the hand put in the session stands before what it put in a script', () => {
  const all = [item('a', 'Bench', 1), { ...item('b', 'Bench', 1) }, item('c', 'Yard', 1)]
  const [, b] = all
  if (b) b.shot = { ...b.shot, behind: 'a' }
  const free = { ...session, behind: {} }
  expect(shotsToOrder(free, all).map((s) => s.behind)).toEqual([undefined, 'a', undefined])
  expect(shotsToOrder({ ...free, behind: { c: 'a' } }, all).map((s) => s.behind)).toEqual([
    undefined,
    undefined,
    'a',
  ])
})
