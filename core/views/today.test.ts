import { after, exampleContext, exampleNow } from '../examples'
import { parkEpisode } from '../commands/schedule/park-episode'
import { markReleased } from '../commands/release/mark-released'
import { startStep } from '../commands/work/timer'
import { waitStep } from '../commands/work/wait-step'
import type { Records } from '../records'
import { todayIn as dayIn } from '../testing/today-in'
import { exampleWorld } from './example-cards'
import { nudgeDue, shareOf, type Today } from './today'

const todayIn = (records: Records, now = exampleNow): Today => dayIn(records, now).day
const titles = (rows: { card: { title: string } }[]) => rows.map((r) => r.card.title)

test('the first thing to do is laid on today, what follows stands below it, and nothing is named twice', () => {
  const today = todayIn(exampleWorld())
  expect(today.first?.card.title).toBe('Ribs')
  const ids = [today.first, ...today.rest, ...today.notToday].map((x) => x?.state.step.id)
  expect(new Set(ids).size).toBe(ids.length)
  expect(today.blocks.map((b) => b.state.step.id)).toEqual(ids.slice(0, today.rest.length + 1))
})

test('what has no slot stands apart, with its next step', () => {
  expect(titles(todayIn(exampleWorld()).undated)).toEqual(['Spar'])
})

test('what is late and can be done stands on Today, the most late first; what cannot is named with why', () => {
  const { blocks, notToday } = todayIn(exampleWorld())
  const late = blocks.map((b) => b.state.late ?? 0)
  expect(late[0]).toBeGreaterThan(0)
  expect([...late].sort((a, b) => b - a)).toEqual(late)
  for (const { why } of notToday) expect(why).not.toBe('')
})

test('what runs stands above, is not next as well, and its lamp fills with the minutes', () => {
  const world = exampleWorld()
  const first = todayIn(world).first?.state.step.id ?? ''
  const records = after(world, startStep(world, { step: first }, exampleContext()))
  const today = todayIn(records)
  expect(today.running?.state.step.id).toBe(first)
  expect(today.first?.state.step.id).not.toBe(first)
  const minutes = today.running?.state.step.minutes ?? 0
  const share = (ran: number) => today.running && shareOf(today.running, exampleNow + ran * 60_000)
  expect(share(minutes / 2)).toBeCloseTo(0.5, 1)
  expect(share(minutes * 3)).toBe(1)
})

test('what others have is listed with who has it, and a nudge is due after the days that were said', () => {
  const world = exampleWorld()
  const step = todayIn(world).first?.state.step.id ?? ''
  const waiting = { who: 'Ines', what: 'a portrait', since: '2026-11-20' }
  const records = after(world, waitStep(world, { step, waiting }, exampleContext()))
  const today = todayIn(records)
  expect(today.waiting.map((w) => w.waiting.who)).toEqual(['Ines'])
  expect(today.first?.state.step.id).not.toBe(step)
  expect(nudgeDue(waiting, '2026-11-23', undefined)).toBe(false)
  expect(nudgeDue(waiting, '2026-11-24', undefined)).toBe(true)
  expect(nudgeDue({ ...waiting, nudge: 9 }, '2026-11-24', undefined)).toBe(false)
})

test('what was parked until after another can be taken up once that is out', () => {
  const world = exampleWorld()
  const parked = after(world, parkEpisode(world, { episode: 'e2', why: '', after: 'e0' }, exampleContext()))
  expect(todayIn(parked).takenUp).toEqual([])
  const context = exampleContext(Date.parse('2026-11-27T09:00:00.000Z'))
  const out = after(parked, markReleased(parked, { episode: 'e0' }, context))
  expect(todayIn(out, context.now).takenUp.map((e) => e.title)).toEqual(['Spar'])
})

test('what is agreed for later today waits for its hour, and something else is done until then', () => {
  const world = exampleWorld()
  const blocks = todayIn(world).blocks
  const [first] = blocks
  const second = blocks
    .slice(1)
    .find((b) => !b.state.needs.some((n) => blocks.some((x) => x.state.step.id === n)))
  if (!first || !second) throw new Error('too little on Today')
  const { step } = second.state
  const at = (time: string) =>
    todayIn({
      ...world,
      steps: new Map(world.steps).set(step.id, {
        ...step,
        blocks: [{ day: '2026-11-24', minutes: second.minutes, pinned: true, at: time }],
      }),
    })
  const late = at('23:30')
  expect(late.blocks[0]?.state.step.id).toBe(step.id)
  expect(late.first?.state.step.id).toBe(first.state.step.id)
  expect(late.rest.map((r) => r.state.step.id)).toContain(step.id)
  expect(at('00:15').first?.state.step.id).toBe(step.id)
})
