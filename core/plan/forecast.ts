import type { Day, Id, StepKind } from '../model'
import { dayNumber } from '../rhythm/days'
import { prior, type Pace } from './accuracy'
import { drawsOf, normal, seedOf } from './chance'
import type { Task } from './planner'

/** What a forecast looks at: the open work in the order of the plan, minutes per day from `first` on, paces by kind, the share of days that are lost. */
export interface ForecastFor {
  tasks: readonly Task[]
  /** Days, counted from `first`, that someone else may take for a task that waits on them. */
  waits: ReadonlyMap<Id, number>
  first: Day
  minutes: readonly number[]
  paces: ReadonlyMap<StepKind, Pace>
  lost: number
  setup: Partial<Record<StepKind, number>>
  draws: number
  seed: string
}

/** How one release stands. */
export interface Outlook {
  episode: Id
  release: Day
  /** Share of draws in which it is ready by its release. */
  chance: number
  is: 'on track' | 'tight' | 'unlikely'
  /** The days by which half, and nine in ten, of the draws are ready: numbers of days since 1970. */
  p50: number
  p90: number
  /** The step that most often decides: the one that ends last, or what it waited for until that same day. The reason. */
  last: Id | undefined
  /** How many draws are ready so many days before (negative) or after the release; both ends cut at four weeks. */
  spread: Map<number, number>
}

/** The words for a chance. */
export function outlookOf(chance: number): Outlook['is'] {
  return chance >= 0.8 ? 'on track' : chance >= 0.5 ? 'tight' : 'unlikely'
}

/**
 * Forecasts releases by seeded draws (Monte Carlo, `engine` 5): each draw stretches every task by a log-normal ratio of its kind and loses
 * some days; the work is pushed through the days' minutes in the plan's order. A task's numbers depend on the seed and its id alone, a day's
 * on the seed and its date, so that the same draws serve every "what if" and differences are real. `tell` hears the share done and may stop it.
 */
export function forecast(of: ForecastFor, tell: (share: number) => boolean = () => true): Outlook[] {
  const { tasks, draws } = of
  const days = of.minutes.length
  const first = dayNumber(of.first)
  const place = new Map(tasks.map((t, i) => [t.id, i]))
  const needs = tasks.map((t) => t.needs.flatMap((n) => place.get(n) ?? []))
  const earliest = tasks.map((t) =>
    t.earliest === undefined ? 0 : Math.max(0, dayNumber(t.earliest) - first),
  )
  const ratios = tasks.map((t) => ratiosOf(t, of))
  const waits = tasks.map((t) => waitsOf(t, of))
  const lost = Array.from({ length: days }, (_, n) => {
    const draw = drawsOf(seedOf(`${of.seed} day ${first + n}`))
    return Uint8Array.from({ length: draws }, () => (draw() < of.lost ? 1 : 0))
  })
  const releases = new Map<Id, { release: number; tasks: number[] }>()
  tasks.forEach((t, i) => {
    if (t.release === undefined) return
    const row = releases.get(t.episode) ?? { release: dayNumber(t.release) - first, tasks: [] }
    row.tasks.push(i)
    releases.set(t.episode, row)
  })
  const ready = new Map([...releases.keys()].map((id) => [id, new Int32Array(draws)]))
  const lasts = new Map([...releases.keys()].map((id) => [id, new Map<number, number>()]))
  const ends = new Int32Array(tasks.length)
  const cause = new Int32Array(tasks.length)
  const room = new Float64Array(days)
  const kinds: Set<StepKind>[] = Array.from({ length: days }, () => new Set())
  for (let d = 0; d < draws; d++) {
    for (let n = 0; n < days; n++) {
      room[n] = lost[n]?.[d] ? 0 : (of.minutes[n] ?? 0)
      kinds[n]?.clear()
    }
    let open = 0
    tasks.forEach((task, i) => {
      while (open < days && (room[open] ?? 0) <= 0.5) open++
      let start = Math.max(earliest[i] ?? 0, 0)
      let held = -1
      for (const n of needs[i] ?? [])
        if ((ends[n] ?? 0) >= start) {
          start = ends[n] ?? 0
          held = n
        }
      cause[i] = i
      const wait = waits[i]?.[d]
      if (wait !== undefined) {
        ends[i] = Math.min(days, Math.max(start, wait))
        return
      }
      const waitedFor = (end: number) => {
        if (held >= 0 && end === ends[held]) cause[i] = cause[held] ?? i
      }
      let rest = task.minutes * (ratios[i]?.[d] ?? 1)
      let n = Math.max(start, rest > 0 ? open : start)
      let end = start
      const cost = of.setup[task.kind] ?? 0
      while (rest > 0.5 && n < days) {
        let free = room[n] ?? 0
        if (cost > 0 && free > 0 && !kinds[n]?.has(task.kind)) {
          free = Math.max(0, free - cost)
          if (free > 0) {
            kinds[n]?.add(task.kind)
            room[n] = free
          }
        }
        if (free > 0) {
          const piece = Math.min(free, rest)
          room[n] = (room[n] ?? 0) - piece
          rest -= piece
          end = n
        }
        n++
      }
      ends[i] = rest > 0.5 ? days : end
      waitedFor(ends[i] ?? 0)
    })
    for (const [episode, row] of releases) {
      let latest = 0
      let which = row.tasks[0] ?? 0
      for (const i of row.tasks)
        if ((ends[i] ?? 0) >= latest) {
          latest = ends[i] ?? 0
          which = cause[i] ?? i
        }
      const mine = ready.get(episode)
      if (mine) mine[d] = latest
      const count = lasts.get(episode)
      count?.set(which, (count.get(which) ?? 0) + 1)
    }
    if (d % 100 === 99 && !tell((d + 1) / draws)) break
  }
  return [...releases].map(([episode, { release }]) => {
    const mine = [...(ready.get(episode) ?? [])].sort((a, b) => a - b)
    const chance = mine.filter((n) => n <= release).length / draws
    const spread = new Map<number, number>()
    for (const n of mine) {
      const off = Math.max(-28, Math.min(28, n - release))
      spread.set(off, (spread.get(off) ?? 0) + 1)
    }
    const most = [...(lasts.get(episode) ?? [])].sort((a, b) => b[1] - a[1])[0]
    return {
      episode,
      release: tasks.find((t) => t.episode === episode && t.release !== undefined)?.release ?? '',
      chance,
      is: outlookOf(chance),
      p50: first + (mine[Math.floor(draws / 2)] ?? 0),
      p90: first + (mine[Math.floor(draws * 0.9)] ?? 0),
      last: most ? tasks[most[0]]?.id : undefined,
      spread,
    }
  })
}

function ratiosOf(task: Task, of: ForecastFor): Float32Array {
  const pace = of.paces.get(task.kind) ?? prior
  const draw = drawsOf(seedOf(`${of.seed} ${task.id}`))
  return Float32Array.from({ length: of.draws }, () => pace.median * Math.exp(pace.sigma * normal(draw)))
}

/** When what is waited for comes: after days that are exponential about what is usual. */
function waitsOf(task: Task, of: ForecastFor): Int32Array | undefined {
  const usual = of.waits.get(task.id)
  if (usual === undefined) return undefined
  const draw = drawsOf(seedOf(`${of.seed} waits ${task.id}`))
  return Int32Array.from({ length: of.draws }, () => Math.ceil(-Math.log(Math.max(1e-9, draw())) * usual))
}
