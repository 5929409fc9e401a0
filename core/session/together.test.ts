import { exampleAt } from '../examples'
import type { Episode, Records, Session } from '../records'
import { exampleWorld, viewOf } from '../views/example-cards'
import { candidatesFor, isKeptFor, savedBy, togetherFor, type TogetherOf } from './together'

const earlier = '2026-11-12T09:00:00.000Z'
const before = new Set(['brief', 'titles', 'script', 'prepare'])

/** The example world with everything before filming done for some episodes, long days, and changes to others. */
function world(ready: readonly string[], change: Partial<Record<string, Partial<Episode>>> = {}): Records {
  const records = exampleWorld()
  const settings = records.settings.get('settings')
  return {
    ...records,
    settings: new Map(
      settings ? [['settings', { ...settings, hours: [360, 360, 360, 360, 360, 0, 0] }]] : [],
    ),
    episodes: new Map([...records.episodes].map(([id, e]) => [id, { ...e, ...change[id] }])),
    steps: new Map(
      [...records.steps].map(([id, s]) => [
        id,
        ready.includes(s.episode) && before.has(s.line ?? '') ? { ...s, doneAt: earlier } : s,
      ]),
    ),
  }
}

/** Of the two that are not due at once, or of all. */
function of(records: Records, more: Partial<TogetherOf> = {}, all = false): TogetherOf {
  const { cards, state } = viewOf(records)
  return {
    working: cards.filter((c) => c.episode.phase.kind === 'work' && (all || c.episode.id !== 'e0')),
    sessions: records.sessions.values(),
    hours: state.hours,
    blocks: state.load.blocks,
    settings: { setup: { film: 45 }, preferred: {} },
    today: state.today,
    ...more,
  }
}
const ids = (t: ReturnType<typeof togetherFor>) => t?.candidates.map((c) => c.card.episode.id)

test('two that are ready go together on the first day with room for both, set up once', () => {
  const found = togetherFor('film', of(world(['e1', 'e2'])))
  expect(ids(found)).toEqual(['e1', 'e2'])
  const alone = found?.candidates.map((c) => c.minutes) ?? []
  expect(found).toMatchObject({
    day: '2026-11-24',
    setup: 45,
    saves: 45,
    minutes: (alone[0] ?? 0) + (alone[1] ?? 0),
    over: 0,
  })
})

test('what is ready stands first, and three save twice the set-up', () => {
  const all = candidatesFor('film', of(world(['e2'])))
  expect([all[0]?.card.episode.id, all[0]?.ready, all[1]?.ready]).toEqual(['e2', true, false])
  const three = candidatesFor('film', of(world(['e0', 'e1', 'e2']), {}, true))
  expect(savedBy(three, 45)).toBe(90)
})

test('fewer than two is no session, nor is what lies in one already', () => {
  const one = exampleWorld()
  const records = {
    ...one,
    steps: new Map([...one.steps].filter(([, s]) => s.episode === 'e0' || s.kind !== 'film')),
  }
  expect(togetherFor('film', of(records))).toBeUndefined()
  const laid: Session = {
    id: 's',
    kind: 'film',
    day: '2026-11-25',
    steps: ['e1/film'],
    behind: {},
    order: [],
    put: [],
    shots: [],
    checked: [],
    stretches: [],
    run: { kind: 'planned' },
    createdAt: exampleAt,
    updatedAt: exampleAt,
  }
  const left = candidatesFor('film', of(world(['e1', 'e2']), { sessions: [laid] }))
  expect(left.map((c) => c.card.episode.id)).not.toContain('e1')
})

test('a topical one is not filmed before its day', () => {
  const nature = { kind: 'topical' as const, notBefore: '2026-11-27' }
  const found = togetherFor('film', of(world(['e1', 'e2'], { e2: { nature } })))
  expect(ids(found)).toContain('e2')
  expect(found?.day).toBe('2026-11-27')
})

test('what waits for something required that comes later is not filmed before it is here', () => {
  const materials = [
    {
      id: 'm',
      what: 'Bolts',
      stand: 'ordered' as const,
      expected: '2026-11-26',
      required: true,
    },
  ]
  const found = togetherFor('film', of(world(['e1', 'e2'], { e2: { materials } })))
  expect(found?.day).toBe('2026-11-26')
})

test('the day that is kept for it is taken, weekly or once a month, unless something would come late', () => {
  const preferred = { film: [2] }
  const shooting = world(['e1', 'e2'])
  // Of what is due already none is put off to that day.
  const records = {
    ...shooting,
    steps: new Map(
      [...shooting.steps].map(([id, s]) => [id, { ...s, lead: { kind: 'before' as const, days: 3 } }]),
    ),
  }
  const weekly = togetherFor('film', of(records, { settings: { setup: { film: 45 }, preferred } }))
  expect(weekly).toMatchObject({ day: '2026-11-25', standing: true })
  expect(isKeptFor('film', '2026-12-02', { preferred, monthly: { film: 1 } })).toBe(true)
  expect(isKeptFor('film', '2026-12-09', { preferred, monthly: { film: 1 } })).toBe(false)
  expect(isKeptFor('film', '2026-12-03', { preferred })).toBe(false)
})

test('a day with something fixed on it has less room; where no day has enough, it is said by how much', () => {
  const records = world(['e1', 'e2'])
  const view = of(records)
  const fixed = [{ id: 'other', day: '2026-11-24', minutes: 300, fixed: true }]
  expect(togetherFor('film', { ...view, blocks: fixed })?.day).toBe('2026-11-25')
  const short = { ...view.hours, hours: [120, 120, 120, 120, 120, 0, 0] }
  const over = togetherFor('film', { ...view, hours: short, blocks: [] })
  expect(over?.candidates).toHaveLength(2)
  expect(over?.over).toBe((over?.minutes ?? 0) + 45 - 120)
})
