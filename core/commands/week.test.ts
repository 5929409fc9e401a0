import {
  after,
  exampleAt,
  exampleContext,
  exampleEpisode,
  exampleNow,
  exampleRecords,
  exampleStep,
  refusalOf,
  valueOf,
} from '../examples'
import type { Records } from '../model'
import { minutesOn } from '../plan/load'
import {
  correctLog,
  endStep,
  handStep,
  layOnDay,
  leftToToday,
  pinBlock,
  ranFor,
  setDays,
  splitBlock,
  startStep,
  stopStep,
  takeOffDay,
  takePlan,
} from './week'

const today = '2026-11-24'
const base: Records = {
  ...exampleRecords([exampleEpisode()]),
  steps: new Map([
    ['a', exampleStep({ id: 'a', minutes: 120 })],
    ['b', exampleStep({ id: 'b', minutes: 60 })],
  ]),
}
const context = exampleContext()
const later = (minutes: number) => exampleContext(exampleNow + minutes * 60_000)
const blocks = (r: Records, id = 'a') =>
  r.steps.get(id)?.blocks.map((b) => `${b.day.slice(8)} ${b.minutes}${b.pinned ? '!' : ''}`)

test('blocks are laid, moved, joined, split, pinned and taken off', () => {
  let r = after(base, layOnDay(base, { step: 'a', day: '2026-11-25', minutes: 120, today }, context))
  expect(blocks(r)).toEqual(['25 120!'])
  r = after(r, splitBlock(r, { step: 'a', day: '2026-11-25', minutes: 120, to: '2026-11-27' }, context))
  expect(blocks(r)).toEqual(['25 60!', '27 60!'])
  r = after(r, layOnDay(r, { step: 'a', day: '2026-11-27', from: '2026-11-25', minutes: 60, today }, context))
  expect(blocks(r)).toEqual(['27 120!'])
  r = after(r, pinBlock(r, { step: 'a', day: '2026-11-27', pinned: false }, context))
  expect(blocks(r)).toEqual(['27 120'])
  expect(blocks(after(r, takeOffDay(r, { step: 'a', day: '2026-11-27' }, context)))).toEqual([])
  expect(refusalOf(layOnDay(r, { step: 'a', day: '2026-11-23', minutes: 60, today }, context))).toMatch(
    /has passed/,
  )
  expect(
    refusalOf(splitBlock(r, { step: 'a', day: '2026-11-27', minutes: 45, to: '2026-11-28' }, context)),
  ).toMatch(/Under an hour/)
})

test('a plan is taken for some steps; pinned blocks stay', () => {
  let r = after(base, layOnDay(base, { step: 'a', day: '2026-11-25', minutes: 60, today }, context))
  r = after(
    r,
    takePlan(
      r,
      {
        blocks: [
          { id: 'a', day: '2026-11-25', minutes: 60 },
          { id: 'a', day: '2026-11-26', minutes: 60 },
        ],
      },
      context,
    ),
  )
  expect(blocks(r)).toEqual(['25 60!', '26 60'])
  expect(blocks(r, 'b')).toEqual([])
  expect(refusalOf(takePlan(r, { blocks: [{ id: 'gone', day: today, minutes: 5 }] }, context))).toMatch(
    /plan anew/,
  )
})

test('days are lost together, and get their usual hours back', () => {
  const r = after(base, setDays(base, { days: ['2026-11-25', '2026-11-26'], minutes: 0 }, context))
  const settings = () => r.settings.get('settings')
  expect(minutesOn(settings() ?? { hours: [], daysOff: [] }, '2026-11-25')).toBe(0)
  const back = after(r, setDays(r, { days: ['2026-11-25'], minutes: undefined }, context)).settings.get(
    'settings',
  )
  expect([back && minutesOn(back, '2026-11-25'), back && minutesOn(back, '2026-11-26')]).toEqual([120, 0])
})

test('a lost day frees what was laid on it; what is left over comes onto today in one move', () => {
  let r = after(base, layOnDay(base, { step: 'a', day: '2026-11-25', minutes: 120, today }, context))
  r = after(r, layOnDay(r, { step: 'b', day: today, minutes: 60, today }, context))
  expect(blocks(after(r, setDays(r, { days: ['2026-11-25'], minutes: 0 }, context)))).toEqual([])
  const tomorrow = after(r, leftToToday(r, { steps: ['a', 'b'], today: '2026-11-25' }, context))
  expect([blocks(tomorrow, 'a'), blocks(tomorrow, 'b')]).toEqual([['25 120!'], ['24 60!', '25 60!']])
  expect(tomorrow.steps.get('b')?.blocks[0]?.missed).toBe(true)
  expect(refusalOf(leftToToday(tomorrow, { steps: ['a', 'b'], today: '2026-11-25' }, context))).toMatch(
    /Nothing is left over/,
  )
})

test('one timer runs at a time; starting another logs the first; a forgotten one logs six hours', () => {
  let r = after(base, startStep(base, { step: 'a' }, context))
  r = after(r, startStep(r, { step: 'b' }, later(25)))
  expect(r.steps.get('a')?.logged).toBe(25)
  expect(r.settings.get('settings')?.running?.step).toBe('b')
  r = after(r, stopStep(r, {}, later(40)))
  expect([r.steps.get('b')?.logged, r.settings.get('settings')?.running]).toEqual([15, undefined])
  expect(refusalOf(stopStep(r, {}, context))).toMatch(/No step is running/)
  expect(ranFor(exampleAt, exampleNow + 30 * 3_600_000)).toBe(360)
  expect(after(r, correctLog(r, { step: 'b', minutes: 45 }, context)).steps.get('b')?.logged).toBe(45)
})

test('at the end one word says how long it took; a timer’s minutes count as they are; it may have been yesterday', () => {
  const end = (took: 'shorter' | 'as planned' | 'longer', r = base) =>
    after(r, endStep(r, { step: 'a', took, at: '2026-11-23T18:00:00.000Z' }, later(50))).steps.get('a')
  expect([end('shorter')?.logged, end('as planned')?.logged, end('longer')?.logged]).toEqual([84, 120, 168])
  expect(end('longer')?.doneAt).toBe('2026-11-23T18:00:00.000Z')
  const running = after(base, startStep(base, { step: 'a' }, context))
  expect(end('as planned', running)?.logged).toBe(50)
  expect(
    after(running, endStep(running, { step: 'a', took: 'as planned' }, later(50))).settings.get('settings')
      ?.running,
  ).toBeUndefined()
})

test('a step is handed over and taken back', () => {
  const r = after(base, handStep(base, { step: 'a', owner: ' Jo ' }, context))
  expect(r.steps.get('a')?.owner).toBe('Jo')
  expect(valueOf(handStep(r, { step: 'a', owner: '' }, context)).sentence).toBe('a is yours again')
})
