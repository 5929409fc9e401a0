import { exampleWorld, viewOf } from './example-cards'
import { dueByDay, launchesOn, monthCells, monthCounts, releasesByDay, sayCounts, workByDay } from './month'

test.each([
  [0, 0, 'November 2026', '2026-10-26', 42],
  [1, 0, 'December 2026', '2026-11-30', 35],
  [0, 6, 'November 2026', '2026-11-01', 35],
  [3, 0, 'February 2027', '2027-02-01', 28],
  [-11, 0, 'December 2025', '2025-12-01', 35],
])(
  '%i months on, weeks from weekday %i: %s begins with %s and has %i cells',
  (by, first, name, day, count) => {
    const month = monthCells('2026-11-24', by, first)
    expect([month.name, month.cells[0], month.cells.length]).toEqual([name, day, count])
    expect(month.cells).toContain(month.start)
  },
)

const { cards, state, stepIn } = viewOf(exampleWorld())
const placed = cards.filter((c) => c.standing.release)

test('releases stand on their days, those that are out on the day they went', () => {
  const out = placed[0]
  if (!out) throw new Error('no card')
  const by = releasesByDay(placed, [{ card: out, day: '2026-11-20' }])
  expect([...by].map(([day, row]) => [day, row.length])).toEqual([
    ['2026-11-26', 1],
    ['2026-12-03', 1],
    ['2026-11-20', 1],
  ])
})

test('open steps stand on the days they are due, and work on its days, the longest first', () => {
  const due = dueByDay(placed)
  for (const [day, rows] of due)
    expect(rows).toHaveLength(
      placed.flatMap((c) => c.standing.steps.filter((s) => !s.done && s.due === day)).length,
    )
  expect(due.size).toBeGreaterThan(3)
  const work = workByDay(state.load.blocks, stepIn)
  expect(work.size).toBeGreaterThan(0)
  for (const row of work.values()) {
    const minutes = row.map((w) => w.minutes)
    expect([...minutes].sort((a, b) => b - a)).toEqual(minutes)
  }
})

test('a launch shows from the first day of its run-up to its last', () => {
  const launch = {
    id: 'l',
    name: 'The yard opens',
    from: '2026-12-10',
    to: '2026-12-11',
    runUp: 3,
    wanted: 2,
    note: '',
    episodes: [],
    createdAt: '2026-11-24T09:00:00.000Z',
    updatedAt: '2026-11-24T09:00:00.000Z',
  }
  const on = (day: string) => launchesOn([launch], day).map((l) => [l.part, l.begins])
  expect(['06', '07', '08', '10', '11', '12'].map((d) => on(`2026-12-${d}`))).toEqual([
    [],
    [['run-up', true]],
    [['run-up', false]],
    [['launch', true]],
    [['launch', false]],
    [],
  ])
})

test('a month is counted in words: out and planned, by show, open slots, hours of those given', () => {
  const [a, b] = placed
  if (!a || !b) throw new Error('no card')
  const out = {
    ...a,
    episode: { ...a.episode, phase: { kind: 'released' as const, at: a.episode.createdAt } },
  }
  const other = { ...b, show: { ...b.show, id: 'talks', title: 'Talks' } }
  expect(
    sayCounts(
      monthCounts([out, a, other], 1, (c) => (c === a ? 'talk' : undefined)),
      90,
      600,
    ),
  ).toBe(`1 out, 2 planned (${a.show.title} 2, Talks 1; talk 1) · 1 slot open · 1 h 30 of work in 10 h`)
  expect(
    sayCounts(
      monthCounts([a], 0, () => undefined),
      0,
      0,
    ),
  ).toBe('1 planned')
  // Of one show alone, its hours are still those of all work.
  expect(
    sayCounts(
      monthCounts([a], 0, () => undefined),
      90,
      600,
      true,
    ),
  ).toBe('1 planned · 1 h 30 of all work in 10 h')
  expect(
    sayCounts(
      monthCounts([], 0, () => undefined),
      0,
      0,
    ),
  ).toBe('')
})
