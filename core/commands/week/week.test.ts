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
} from '../../examples'
import { agreedOn } from '../../partners/visits'
import type { Records } from '../../records'
import { withChanges } from '../change'
import { bookGuest } from '../people/visit'
import { minutesOn } from '../../plan/load'
import { correctLog } from '../work/correct-log'
import { endStep } from '../work/end-step'
import { handStep } from '../work/hand-step'
import { ranFor } from '../work/logged'
import { startStep, stopStep } from '../work/timer'
import { layOnDay, takeOffDay } from './lay-on-day'
import { moveLeftoversToToday } from './move-leftovers'
import { pinBlock } from './pin-block'
import { setDays } from './set-days'
import { splitBlock } from './split-block'
import { takePlan } from './take-plan'
import { tickStep } from '../work/tick-step'

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
  let r = after(base, layOnDay(base, { step: 'a', day: '2026-11-25', minutes: 120 }, context))
  expect(blocks(r)).toEqual(['25 120!'])
  r = after(r, splitBlock(r, { step: 'a', day: '2026-11-25', minutes: 120, to: '2026-11-27' }, context))
  expect(blocks(r)).toEqual(['25 60!', '27 60!'])
  r = after(r, layOnDay(r, { step: 'a', day: '2026-11-27', from: '2026-11-25', minutes: 60 }, context))
  expect(blocks(r)).toEqual(['27 120!'])
  r = after(r, pinBlock(r, { step: 'a', day: '2026-11-27', pinned: false }, context))
  expect(blocks(r)).toEqual(['27 120'])
  expect(blocks(after(r, takeOffDay(r, { step: 'a', day: '2026-11-27' }, context)))).toEqual([])
  expect(refusalOf(layOnDay(r, { step: 'a', day: '2026-11-23', minutes: 60 }, context))).toMatch(/has passed/)
  expect(
    refusalOf(splitBlock(r, { step: 'a', day: '2026-11-27', minutes: 45, to: '2026-11-28' }, context)),
  ).toMatch(/Under an hour/)
})

test('what needs a step that is laid later is told of, near and far, unless it is done or lies later itself', () => {
  const on = (id: string, day: string, needs: string[] = [], doneAt?: string) =>
    exampleStep({ ...{ id, needs, doneAt, name: id }, blocks: [{ day, minutes: 60, pinned: true }] })
  const all = [
    on('script', '2026-11-25'),
    on('film', '2026-11-26', ['script']),
    on('cut', '2026-11-27', ['film']),
    on('sound', '2026-11-26', ['script'], exampleAt),
    on('picture', '2026-11-26'),
  ]
  const records = { ...base, steps: new Map(all.map((s) => [s.id, s])) }
  const lay = (day: string) => {
    const done = layOnDay(records, { step: 'script', day, from: '2026-11-25', minutes: 60 }, context)
    return done.ok ? done.value.sentence : done.problem.sentence
  }
  expect(lay('2026-11-26')).toBe('script laid on Thu 26 Nov')
  expect(lay('2026-11-27')).toBe('script laid on Fri 27 Nov; film needs it and is planned after it')
  expect(lay('2026-11-30')).toBe('script laid on Mon 30 Nov; film, cut need it and are planned after it')
})

test('a plan is taken for some steps; pinned blocks stay', () => {
  let r = after(base, layOnDay(base, { step: 'a', day: '2026-11-25', minutes: 60 }, context))
  r = after(
    r,
    takePlan(
      r,
      {
        blocks: [{ id: 'a', day: '2026-11-26', minutes: 60 }],
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

test('what is agreed with a guest outlives the loss of its day, and is named', () => {
  const show = exampleEpisode({ guests: ['Ines Varga'] })
  let r: Records = { ...base, episodes: new Map([...base.episodes, ['episode', show]]) }
  const booking = { episode: 'episode', guest: 'Ines Varga', day: '2026-11-25', at: '18:00', minutes: 60 }
  r = after(r, bookGuest(r, booking, context))
  const lost = valueOf(setDays(r, { days: ['2026-11-25', '2026-11-26'], minutes: 0 }, context))
  expect(lost.sentence).toBe('2 days lost. Ines Varga is still expected Wed 25 Nov, 18:00')
  const then = withChanges(r, lost.changes)
  expect(agreedOn(then, ['2026-11-25'], today).map((a) => a.at)).toEqual(['18:00'])
})

test('a lost day frees what was laid on it; what is left over comes onto today in one move', () => {
  let r = after(base, layOnDay(base, { step: 'a', day: '2026-11-25', minutes: 120 }, context))
  r = after(r, layOnDay(r, { step: 'b', day: today, minutes: 60 }, context))
  expect(blocks(after(r, setDays(r, { days: ['2026-11-25'], minutes: 0 }, context)))).toEqual([])
  const nextDay = later(24 * 60)
  const tomorrow = after(r, moveLeftoversToToday(r, { steps: ['a', 'b'] }, nextDay))
  expect([blocks(tomorrow, 'a'), blocks(tomorrow, 'b')]).toEqual([['25 120!'], ['24 60!', '25 60!']])
  expect(tomorrow.steps.get('b')?.blocks[0]?.missed).toBe(true)
  expect(refusalOf(moveLeftoversToToday(tomorrow, { steps: ['a', 'b'] }, nextDay))).toMatch(
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

test('at the end one word says how long it took where nothing was timed; it may have been yesterday', () => {
  const end = (took: 'shorter' | 'as planned' | 'longer', r = base) =>
    after(r, endStep(r, { step: 'a', took, day: '2026-11-23' }, later(50))).steps.get('a')
  expect([end('shorter')?.logged, end('as planned')?.logged, end('longer')?.logged]).toEqual([84, 120, 168])
  expect(end('longer')?.doneAt).toBe('2026-11-23T20:00:00.000Z')
  expect(end('longer')?.worked).toEqual({ '2026-11-23': 168 })
  expect(refusalOf(endStep(base, { step: 'a', took: 'longer', day: '2026-11-25' }, context))).toMatch(
    /still to come/,
  )
})

test('a part that is done is logged and leaves the rest; the end of the rest logs that', () => {
  const end = (r: Records, part: number | undefined, now = context) =>
    valueOf(endStep(r, { step: 'a', took: 'as planned', part }, now))
  const first = end(base, 90)
  const r = withChanges(base, first.changes)
  expect(first.sentence).toBe('Done: 1 h 30 of a, as planned')
  expect(r.steps.get('a')).toMatchObject({ logged: 90, worked: { [today]: 90 } })
  expect(r.steps.get('a')?.doneAt).toBeUndefined()
  const next = withChanges(r, end(r, undefined, later(24 * 60)).changes).steps.get('a')
  expect(next).toMatchObject({ logged: 120, worked: { [today]: 90, '2026-11-25': 30 } })
  expect(next?.doneAt).toBeDefined()
})

test('more than the day has had so far is said', () => {
  const long = { ...base, steps: new Map([['a', exampleStep({ id: 'a', minutes: 600 })]]) }
  const ended = valueOf(endStep(long, { step: 'a', took: 'as planned' }, context))
  expect(ended.sentence).toContain('That makes 10 h worked on Tue 24 Nov, more than the day has had')
})

test('what the timer measured counts, whatever word is said, and ticking stops it', () => {
  const running = after(base, startStep(base, { step: 'a' }, context))
  for (const took of ['shorter', 'as planned', 'longer'] as const) {
    const r = after(running, endStep(running, { step: 'a', took }, later(139)))
    expect([r.steps.get('a')?.logged, r.settings.get('settings')?.running]).toEqual([139, undefined])
  }
  const ticked = after(running, tickStep(running, { step: 'a', done: true }, later(30)))
  expect([ticked.steps.get('a')?.logged, ticked.settings.get('settings')?.running]).toEqual([30, undefined])
  expect(refusalOf(startStep(running, { step: 'a' }, later(30)))).toMatch(/running already/)
})

test('what is done can be corrected later, in all or on one day', () => {
  const ended = after(base, endStep(base, { step: 'a', took: 'as planned', day: '2026-11-23' }, context))
  const to = (minutes: number, day?: string, r = ended) =>
    after(r, correctLog(r, { step: 'a', minutes, day }, context)).steps.get('a')
  expect(to(90)).toMatchObject({ logged: 90, worked: { '2026-11-23': 90 } })
  expect(to(30, '2026-11-24')).toMatchObject({ logged: 150, worked: { '2026-11-23': 120, '2026-11-24': 30 } })
  expect(to(0, '2026-11-23')).toMatchObject({ logged: 0, worked: {} })
  expect(refusalOf(correctLog(ended, { step: 'a', minutes: 7000 }, context))).toMatch(/at most 100 hours/)
})

test('a plan that is taken loses no minute and forgets no day that has passed', () => {
  const r: Records = {
    ...base,
    steps: new Map([
      [
        'a',
        exampleStep({
          id: 'a',
          minutes: 120,
          blocks: [
            { day: '2026-11-20', minutes: 30, pinned: false },
            { day: today, minutes: 60, pinned: true },
          ],
        }),
      ],
    ]),
  }
  const taken = after(r, takePlan(r, { blocks: [{ id: 'a', day: today, minutes: 60 }] }, context))
  expect(blocks(taken)).toEqual(['20 30', '24 120!'])
})

test('nothing is laid on a day before what it needs lies', () => {
  const r: Records = {
    ...base,
    steps: new Map([
      [
        'a',
        exampleStep({ id: 'a', name: 'Film', blocks: [{ day: '2026-11-28', minutes: 60, pinned: true }] }),
      ],
      ['b', exampleStep({ id: 'b', name: 'Edit', needs: ['a'] })],
    ]),
  }
  const lay = (day: string) => layOnDay(r, { step: 'b', day, minutes: 60 }, context)
  expect(refusalOf(lay('2026-11-26'))).toMatch(/Edit needs Film, which lies on Sat 28 Nov/)
  expect(blocks(after(r, lay('2026-11-28')), 'b')).toEqual(['28 60!'])
})

test('days lost keep what was laid on days that have passed', () => {
  const r: Records = {
    ...base,
    steps: new Map([
      [
        'a',
        exampleStep({
          id: 'a',
          blocks: [
            { day: '2026-11-20', minutes: 30, pinned: false },
            { day: '2026-11-25', minutes: 30, pinned: false },
          ],
        }),
      ],
    ]),
  }
  expect(blocks(after(r, setDays(r, { days: ['2026-11-20', '2026-11-25'], minutes: 0 }, context)))).toEqual([
    '20 30',
  ])
})

test('work that brings a part becomes a record by being timed, laid or handed over', () => {
  const id = 'episode/part/title'
  const r = after(base, startStep(base, { step: id }, context))
  expect(r.steps.get(id)).toMatchObject({ name: 'Choose the title', part: 'title', minutes: 20 })
  expect(after(base, handStep(base, { step: id, owner: 'Jo' }, context)).steps.get(id)?.owner).toBe('Jo')
  expect(blocks(after(base, layOnDay(base, { step: id, day: today, minutes: 20 }, context)), id)).toEqual([
    '24 20!',
  ])
  expect(refusalOf(startStep(base, { step: 'gone/part/title' }, context))).toMatch(/no longer there/)
})

test('a step is handed over and taken back', () => {
  const r = after(base, handStep(base, { step: 'a', owner: ' Jo ' }, context))
  expect(r.steps.get('a')?.owner).toBe('Jo')
  expect(valueOf(handStep(r, { step: 'a', owner: '' }, context)).sentence).toBe('a is yours again')
})
