import { exampleAt, exampleEpisode, exampleRecords, exampleStep } from '../examples'
import { exampleDeal } from '../partners/example-deal'
import type { Step } from '../records'
import { progressOf } from '../recipe/lamps'
import { workingDays } from '../recipe/due'
import { minutesAhead, planFor } from './load'
import { isReadId } from './reads'
import { outlookOf, type Outlook } from './outlook'
import { explain, gains, inPlanOrder, openWork, turnOf, type Shift } from './work'

const records = exampleRecords()
const [show, recipe, settings] = [
  records.shows.get('show'),
  records.recipes.get('recipe'),
  records.settings.get('settings'),
]
if (!show || !recipe || !settings) throw new Error('no example')
const episode = exampleEpisode({
  place: { kind: 'slot', day: '2026-12-10' },
  sponsor: 'Kelpline Rope',
  phase: { kind: 'work', since: '2026-11-01T00:00:00.000Z' },
})
const steps: Step[] = [
  exampleStep({ id: 'write', order: 0, lead: { kind: 'before', days: 7 } }),
  exampleStep({
    id: 'film',
    order: 1,
    kind: 'film',
    stage: 'film',
    needs: ['write'],
    lead: { kind: 'before', days: 4 },
  }),
  exampleStep({
    id: 'cover',
    order: 2,
    stage: 'thumbnail',
    waiting: { who: 'Jo', what: '', since: '2026-11-20' },
  }),
  exampleStep({ id: 'letters', order: 3, stage: 'release', lead: { kind: 'after', days: 2 } }),
  exampleStep({ id: 'done', order: 4, doneAt: '2026-11-20T00:00:00.000Z' }),
]
const standing = progressOf({
  episode,
  show,
  recipe,
  script: undefined,
  outlets: [],
  steps,
  today: '2026-11-24',
  works: workingDays(settings),
})
const now = Date.parse('2026-11-24T09:00:00.000Z')
const open = openWork([{ episode, standing }], '2026-11-24', now, new Map())
const { waits } = open
const tasks = open.tasks.filter((t) => !t.id.includes('/part/'))

test('a sponsor’s read that is missing is work of the forecast, due three days before the release, and lies on no day', () => {
  const deal = { ...exampleDeal, id: 'deal', noted: {}, createdAt: exampleAt, updatedAt: exampleAt }
  const works = workingDays(settings)
  const of = { episode, show, recipe, script: undefined, outlets: [], steps, today: '2026-11-24', works }
  const owed = openWork([{ episode, standing: progressOf({ ...of, deal }) }], '2026-11-24', now, new Map())
  expect(open.reads).toEqual([])
  expect(owed.reads).toMatchObject([{ episode: episode.id, due: '2026-12-07', release: '2026-12-10' }])
  expect(owed.tasks).toEqual(open.tasks)
  expect(owed.reads.every((r) => isReadId(r.id))).toBe(true)
})

test('open steps become tasks: what waits takes no minutes, what comes after the release misses none, a sponsor weighs', () => {
  expect(tasks.map((t) => [t.id, t.minutes, t.release, t.needs, t.split])).toEqual([
    ['write', 60, '2026-12-10', [], true],
    ['film', 60, '2026-12-10', ['write'], false],
    ['cover', 0, '2026-12-10', [], true],
    ['letters', 60, undefined, [], true],
  ])
  expect([...waits.keys()]).toEqual(['cover'])
  expect(tasks[0]?.weight).toBe(3)
})

test('the order is that of the days, with needs first', () => {
  expect(
    inPlanOrder(tasks, {
      blocks: [
        { id: 'film', day: '2026-11-25', minutes: 60 },
        { id: 'letters', day: '2026-11-24', minutes: 60 },
      ],
    }).map((t) => t.id),
  ).toEqual(['letters', 'write', 'film', 'cover'])
  expect(minutesAhead(settings, '2026-11-27', 4)).toEqual([120, 0, 0, 120])
})

test('each block says why', () => {
  const other = { ...(tasks[1] ?? tasks[0]), id: 'film2', episode: 'two', needs: [] }
  const of = planFor(
    [
      ...tasks,
      ...('kind' in other ? [{ ...other, kind: 'film' as const, minutes: 60, split: false, weight: 1 }] : []),
    ],
    [{ id: 'cover', day: '2026-11-25', minutes: 30 }],
    settings,
    '2026-11-24',
  )
  const blocks = [
    { id: 'write', day: '2026-11-24', minutes: 60 },
    { id: 'film', day: '2026-11-25', minutes: 60 },
    { id: 'film2', day: '2026-11-25', minutes: 60 },
    { id: 'cover', day: '2026-11-25', minutes: 30 },
  ]
  const named = { number: (id: string) => (id === 'two' ? '#44' : '#43'), step: (id: string) => id }
  const why = (i: number) => {
    const b = blocks[i]
    return b ? explain(b, of, blocks, named) : ''
  }
  expect(why(0)).toBe('Tue, because film of #43 starts Wed.')
  expect(why(1)).toBe('Wed, because #43 and #44 share the set-up, and it is due Fri 4 Dec.')
  expect(why(3)).toBe('Wed, because you put it there.')
})

test('what a plan gains', () => {
  const score = { missed: 1, narrow: 1, late: 5, off: 0, setup: 90, changes: 12, unrest: 30, ends: 10 }
  expect(
    gains(score, { missed: 0, narrow: 1, late: 3, off: 0, setup: 45, changes: 7, unrest: 9, ends: 20 }),
  ).toEqual([
    'Saves a release that would be missed',
    '2 late days fewer',
    'Saves 45 min of set-up',
    'Turns to other work 7 times instead of 12',
  ])
  expect(gains(score, score)).toEqual([])
})

describe('what a plan does to a release', () => {
  const outlook = (chance: number): Outlook => ({
    episode: 'e',
    release: '2026-12-03',
    chance,
    is: outlookOf(chance),
    p50: 0,
    p90: 0,
    last: undefined,
    spread: new Map(),
  })
  const shift = (was: number, is: number, inHand: Shift['inHand'] = [3, 3]): Shift => ({
    episode: 'e',
    outlook: [outlook(was), outlook(is)],
    inHand,
  })
  test.each([
    ['a chance that falls', shift(0.9, 0.8), 'worse'],
    ['a chance that rises', shift(0.5, 0.7), 'better'],
    ['no more than chance itself', shift(0.9, 0.89), 'same'],
    ['a day less in hand', shift(0.9, 0.9, [3, 2]), 'worse'],
    ['a day more in hand', shift(0.9, 0.9, [3, 4]), 'better'],
    ['no room any more', shift(0.9, 0.9, [3, undefined]), 'worse'],
    ['room at last', shift(0.1, 0.1, [undefined, 0]), 'better'],
    ['no room before and after', shift(0.1, 0.1, [undefined, undefined]), 'same'],
  ] as const)('%s', (_what, of, is) => {
    expect(turnOf(of)).toBe(is)
  })
})
