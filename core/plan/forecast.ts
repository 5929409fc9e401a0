import type { Day, Id, StepKind } from '../records'
import { dayNumber } from '../rhythm/days'
import { prior, type KindPace } from './accuracy'
import { drawsOf, normal, seedOf } from './chance'
import type { WorkBlock, Task } from './task'

/**
 * What a forecast looks at: the open work in the order of the plan, minutes per day from `first` on, paces
 * by kind, the share of days that are lost.
 */
export interface ForecastFor {
  tasks: readonly Task[]
  /** Days, counted from `first`, that someone else may take for a task that waits on them. */
  waits: ReadonlyMap<Id, number>
  /**
   * Blocks that lie in the week, by hand or taken from a plan: their work is done on their days, not
   * before.
   */
  laid: readonly WorkBlock[]
  first: Day
  minutes: readonly number[]
  paces: ReadonlyMap<StepKind, KindPace>
  lost: number
  setup: Partial<Record<StepKind, number>>
  /** Kinds of work that are set up on the first day already. */
  begun?: ReadonlySet<StepKind> | undefined
  draws: number
  seed: string
}

/** How one release stands. */
export interface Outlook {
  episode: Id
  release: Day
  /** Share of draws in which it is ready by its release; nothing where it lies beyond what is looked at. */
  chance: number
  is: 'on track' | 'tight' | 'unlikely' | 'too far ahead'
  /** The days by which half, and nine in ten, of the draws are ready: numbers of days since 1970. */
  p50: number
  p90: number
  /**
   * The step that most often decides: the one that ends last, or what it waited for until that same day.
   * The reason.
   */
  last: Id | undefined
  /**
   * How many draws are ready so many days before (negative) or after the release; both ends cut at four
   * weeks.
   */
  spread: Map<number, number>
}

/** The words for a chance. */
export function outlookOf(chance: number): 'on track' | 'tight' | 'unlikely' {
  return chance >= 0.8 ? 'on track' : chance >= 0.5 ? 'tight' : 'unlikely'
}

/** Less than this is no work left: rounding. */
const nothing = 1e-6

/**
 * Forecasts releases by seeded draws (Monte Carlo, `engine` 5): each draw stretches every task by a
 * log-normal ratio of its kind and loses some days; the work is pushed through the days' minutes in the
 * plan's order. What is laid on a day is not done before it, and what is not laid flows round its room;
 * what a lost day, a slow draw or a late need leaves of it comes next, and pushes what lies behind it. A
 * task's numbers depend on the seed and its id alone, a day's on the seed and its date, so that the same
 * draws serve every "what if" and differences are real. `tell` hears the share done and may stop it.
 */
export function forecast(of: ForecastFor, tell: (share: number) => boolean = () => true): Outlook[] {
  const run = new Run(of)
  for (let d = 0; d < of.draws; d++) {
    run.draw(d)
    if (d % 100 === 99 && !tell((d + 1) / of.draws)) break
  }
  return run.outlooks()
}

interface Waits {
  release: number
  day: Day
  tasks: number[]
  ready: Int32Array
  lasts: Map<number, number>
}

/** The draws of one forecast, one after another over the same rows of numbers. */
class Run {
  private readonly days: number
  private readonly first: number
  private readonly needs: number[][]
  private readonly earliest: number[]
  private readonly ratios: Float32Array[]
  private readonly waits: (Int32Array | undefined)[]
  private readonly lost: Uint8Array[]
  private readonly laid: { n: number; minutes: number }[][]
  private readonly loose: number[]
  private readonly reserved: Float64Array
  private readonly releases = new Map<Id, Waits>()
  private readonly ends: Int32Array
  private readonly cause: Int32Array
  private readonly room: Float64Array
  private readonly kept: Float64Array
  private readonly kinds: Set<StepKind>[]
  /** The first day that has room left. */
  private open = 0

  constructor(private readonly of: ForecastFor) {
    const { tasks, draws } = of
    this.days = of.minutes.length
    this.first = dayNumber(of.first)
    const place = new Map(tasks.map((t, i) => [t.id, i]))
    this.needs = tasks.map((t) => t.needs.flatMap((n) => place.get(n) ?? []))
    this.earliest = tasks.map((t) =>
      t.earliest === undefined ? 0 : Math.max(0, dayNumber(t.earliest) - this.first),
    )
    this.ratios = tasks.map((t) => ratiosOf(t, of))
    this.waits = tasks.map((t) => waitsOf(t, of))
    this.lost = Array.from({ length: this.days }, (_, n) => {
      const draw = drawsOf(seedOf(`${of.seed} day ${this.first + n}`))
      return Uint8Array.from({ length: draws }, () => (draw() < of.lost ? 1 : 0))
    })
    this.reserved = new Float64Array(this.days)
    this.laid = tasks.map(() => [])
    this.loose = tasks.map((t) => t.minutes)
    for (const b of [...of.laid].sort((a, z) => (a.day < z.day ? -1 : 1))) {
      const i = place.get(b.id)
      const n = dayNumber(b.day) - this.first
      if (n < 0 || n >= this.days) continue
      const minutes = i === undefined ? b.minutes : Math.min(b.minutes, this.loose[i] ?? 0)
      if (minutes <= 0) continue
      this.reserved[n] = (this.reserved[n] ?? 0) + minutes
      if (i === undefined) continue
      this.laid[i]?.push({ n, minutes })
      this.loose[i] = (this.loose[i] ?? 0) - minutes
    }
    tasks.forEach((t, i) => {
      if (t.release === undefined) return
      const row = this.releases.get(t.episode) ?? {
        release: dayNumber(t.release) - this.first,
        day: t.release,
        tasks: [],
        ready: new Int32Array(draws),
        lasts: new Map<number, number>(),
      }
      row.tasks.push(i)
      this.releases.set(t.episode, row)
    })
    this.ends = new Int32Array(tasks.length)
    this.cause = new Int32Array(tasks.length)
    this.room = new Float64Array(this.days)
    this.kept = new Float64Array(this.days)
    this.kinds = Array.from({ length: this.days }, () => new Set())
  }

  draw(d: number): void {
    const { room, kept, kinds, ends, cause } = this
    for (let n = 0; n < this.days; n++) {
      room[n] = this.lost[n]?.[d] ? 0 : (this.of.minutes[n] ?? 0)
      kinds[n]?.clear()
    }
    kept.set(this.reserved)
    this.open = 0
    for (const kind of this.of.begun ?? []) kinds[0]?.add(kind)
    this.of.tasks.forEach((task, i) => {
      let start = this.earliest[i] ?? 0
      let held = -1
      for (const n of this.needs[i] ?? [])
        if ((ends[n] ?? 0) >= start) {
          start = ends[n] ?? 0
          held = n
        }
      cause[i] = i
      const wait = this.waits[i]?.[d]
      if (wait !== undefined) {
        ends[i] = Math.min(this.days, Math.max(start, wait))
        return
      }
      ends[i] = this.done(task, i, start, this.ratios[i]?.[d] ?? 1)
      if (held >= 0 && ends[i] === ends[held]) cause[i] = cause[held] ?? i
    })
    for (const row of this.releases.values()) {
      let latest = 0
      let which = row.tasks[0] ?? 0
      for (const i of row.tasks)
        if ((ends[i] ?? 0) >= latest) {
          latest = ends[i] ?? 0
          which = cause[i] ?? i
        }
      row.ready[d] = latest
      row.lasts.set(which, (row.lasts.get(which) ?? 0) + 1)
    }
  }

  /** Works one task off from a day on, and says on which day it ends. */
  private done(task: Task, i: number, start: number, ratio: number): number {
    const { days, kept } = this
    let end = start
    let rest = (this.loose[i] ?? 0) * ratio
    while (this.open < days && (this.room[this.open] ?? 0) <= nothing) this.open++
    let n = Math.max(start, this.open)
    for (; rest > nothing && n < days; n++) {
      const piece = this.worked(task, n, Math.min(rest, this.free(task, n) - (kept[n] ?? 0)))
      if (piece <= 0) continue
      rest -= piece
      end = n
    }
    if (rest > nothing) return days
    let left = 0
    let from = start
    for (const b of this.laid[i] ?? []) {
      // Its room is given back; what is not done in it flows on.
      kept[b.n] = (kept[b.n] ?? 0) - b.minutes
      left += b.minutes * ratio
      from = Math.max(from, b.n)
      if (b.n < start) continue
      const piece = this.worked(task, b.n, Math.min(left, b.minutes, this.free(task, b.n)))
      if (piece <= 0) continue
      left -= piece
      end = Math.max(end, b.n)
    }
    for (n = from; left > nothing && n < days; n++) {
      const piece = this.worked(task, n, Math.min(left, this.free(task, n)))
      if (piece <= 0) continue
      left -= piece
      end = Math.max(end, n)
    }
    return left > nothing ? days : end
  }

  /** Minutes of a day that a task could have, its setting up counted. */
  private free(task: Task, n: number): number {
    const cost = this.kinds[n]?.has(task.kind) ? 0 : (this.of.setup[task.kind] ?? 0)
    return (this.room[n] ?? 0) - cost
  }

  private worked(task: Task, n: number, piece: number): number {
    if (piece <= nothing) return 0
    const kinds = this.kinds[n]
    const cost = kinds?.has(task.kind) ? 0 : (this.of.setup[task.kind] ?? 0)
    if (cost > 0) kinds?.add(task.kind)
    this.room[n] = (this.room[n] ?? 0) - piece - cost
    return piece
  }

  outlooks(): Outlook[] {
    const { draws } = this.of
    return [...this.releases].map(([episode, row]) => {
      const mine = [...row.ready].sort((a, b) => a - b)
      const beyond = row.release >= this.days
      const chance = beyond ? 0 : mine.filter((n) => n <= row.release).length / draws
      const spread = new Map<number, number>()
      for (const n of mine) {
        const off = Math.max(-28, Math.min(28, n - row.release))
        spread.set(off, (spread.get(off) ?? 0) + 1)
      }
      const most = [...row.lasts].sort((a, b) => b[1] - a[1])[0]
      return {
        episode,
        release: row.day,
        chance,
        is: beyond ? 'too far ahead' : outlookOf(chance),
        p50: this.first + (mine[Math.floor(draws / 2)] ?? 0),
        p90: this.first + (mine[Math.floor(draws * 0.9)] ?? 0),
        last: most ? this.of.tasks[most[0]]?.id : undefined,
        spread,
      }
    })
  }
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
