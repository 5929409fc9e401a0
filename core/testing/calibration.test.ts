import { mean, range, sum } from 'd3-array'
import { lostPrior, paceOf, prior, type KindPace } from '../plan/accuracy'
import { drawsOf, normal, seedOf } from '../plan/chance'
import { forecast, type ForecastFor } from '../plan/forecast'
import type { Task } from '../plan/task'
import type { StepKind } from '../records'
import { addDays, weekday, dayNumber } from '../rhythm/days'
import { runs } from '../runs'
import { creators } from './creators'

const many = runs(8)
const weeks = 12
const first = '2026-11-23'
/** What an episode takes of a week’s hours as planned, by kind: together as much as makes some late and some not. */
const shares: readonly (readonly [StepKind, number])[] = [
  ['write', 0.16],
  ['film', 0.15],
  ['edit', 0.28],
  ['design', 0.06],
  ['admin', 0.05],
]

/** What comes true of a release, and what was said of it; `by` is whose. */
interface Said {
  said: number
  came: boolean
  by: number
}

/** A simulated creator: how long each kind of work really takes them, within what is believed before anything is known. */
function truth(seed: number): Map<StepKind, KindPace> {
  const next = drawsOf(seed)
  return new Map(
    shares.map(([kind]) => {
      const log = Math.log(prior.median) + (prior.sigma / Math.sqrt(prior.worth)) * normal(next)
      return [kind, { median: Math.exp(log), sigma: prior.sigma, seen: Infinity }] as const
    }),
  )
}

/** What is learnt from so many finished steps of each kind. */
function learnt(real: ReadonlyMap<StepKind, KindPace>, seen: number, seed: number): Map<StepKind, KindPace> {
  const next = drawsOf(seed)
  return new Map(
    [...real].map(([kind, { median, sigma }]) => {
      const steps = range(seen).map(() => ({
        minutes: 100,
        logged: 100 * median * Math.exp(sigma * normal(next)),
        doneAt: first,
      }))
      return [kind, paceOf(steps)] as const
    }),
  )
}

/** A release a week, each with its five steps, planned one after another into hours like a creator’s. */
function work(hours: readonly number[]): Pick<ForecastFor, 'tasks' | 'minutes'> {
  const week = sum(hours)
  const tasks = range(weeks).flatMap((w) =>
    shares.map(([kind, share], i): Task => ({
      ...{ id: `${w} ${kind}`, episode: `e${w}`, kind, minutes: share * week, split: true, weight: 1 },
      needs: i === 0 ? [] : [`${w} ${shares[i - 1]?.[0] ?? ''}`],
      release: addDays(first, 7 * (w + 1) - 1),
    })),
  )
  const from = dayNumber(first)
  return { tasks, minutes: range(weeks * 7 + 60).map((n) => hours[weekday(from + n)] ?? 0) }
}

/** What is said of every release of many creators, and what came of it. */
function told(hours: readonly number[], seen: number): Said[] {
  const of = { ...work(hours), waits: new Map<string, number>(), laid: [], first, lost: lostPrior, setup: {} }
  return range(many).flatMap((by) => {
    const seed = seedOf(`${seen} ${hours.join()} ${by}`)
    const real = truth(seed)
    const paces = learnt(real, seen, seed + 1)
    const said = forecast({ ...of, paces, draws: 200, seed: `said ${seed}` })
    const came = forecast({ ...of, paces: real, draws: 1, seed: `came ${seed}` })
    return said.map(({ chance }, i) => ({ said: chance, came: came[i]?.chance === 1, by }))
  })
}

/** By tenths of what was said: said, come true, and by how much chance alone may part them with so many creators. */
function table(all: readonly Said[]) {
  return range(10).flatMap((tenth) => {
    const mine = all.filter((s) => Math.min(9, Math.floor(10 * s.said)) === tenth)
    if (mine.length < 20) return []
    const said = mean(mine, (s) => s.said) ?? 0
    const came = mean(mine, (s) => Number(s.came)) ?? 0
    // Releases of one creator come true together or not at all.
    const apart = 2.6 * Math.sqrt((said * (1 - said)) / new Set(mine.map((s) => s.by)).size)
    return [{ tenth, cases: mine.length, said, came, apart }]
  })
}

test.each([4, 10, 30])('with %i steps seen of each kind, what is said comes true as often', (seen) => {
  const all = creators.flatMap(({ hours }, c) =>
    told(hours, seen).map((s) => ({ ...s, by: c * 10_000 + s.by })),
  )
  const rows = table(all)
  if (process.env['RUNS'])
    process.stdout.write(
      `${seen} seen: ${rows.map((r) => `${Math.round(100 * r.said)} → ${Math.round(100 * r.came)} (${r.cases})`).join(', ')}\n`,
    )
  expect(rows.length).toBeGreaterThan(4)
  for (const { said, came, apart } of rows) expect(Math.abs(said - came)).toBeLessThan(0.05 + apart)
})
