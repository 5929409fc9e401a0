import type { Day, Id, StepKind } from '../records'
import { dayNumber } from '../rhythm/days'
import { prior, type KindPace } from './accuracy'
import { drawsOf, seedOf } from './chance'
import { losing, normalsOf } from './kept-draws'
import { outlookOf, type Outlook } from './outlook'
import { short, type Task, type WorkBlock } from './task'

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

/** Less than this is no work left: rounding. */
const nothing = 1e-6

/**
 * Forecasts releases by seeded draws (Monte Carlo, `engine` 5): each draw stretches every task by a
 * log-normal ratio of its kind, whose median is drawn as well, and loses some days; the work is pushed
 * through the days' minutes in the plan's order. What is laid on a day is not done before it, and what is not laid flows round its room;
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
  /** The days that each draw loses. */
  private readonly lost: number[][]
  /** Minutes of every day where none is lost. */
  private readonly whole: Float64Array
  /** Of every task, its kind as a bit, and what setting up for it costs. */
  private readonly bit: Int32Array
  private readonly cost: Float64Array
  private readonly laid: { n: number; minutes: number }[][]
  private readonly loose: Float64Array
  private readonly reserved: Float64Array
  private readonly releases = new Map<Id, Waits>()
  private readonly ends: Int32Array
  private readonly cause: Int32Array
  private readonly room: Float64Array
  private readonly kept: Float64Array
  /** What is set up on every day, as bits. */
  private readonly kinds: Int32Array
  private readonly begun: number
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
    this.lost = Array.from({ length: draws }, () => [])
    for (let n = 0; n < this.days; n++) {
      for (const d of losing(this.first + n, of)) this.lost[d]?.push(n)
    }
    this.whole = Float64Array.from(of.minutes)
    const kinds = [...new Set([...tasks.map((t) => t.kind), ...(of.begun ?? [])])]
    this.bit = Int32Array.from(tasks, (t) => 1 << kinds.indexOf(t.kind))
    this.cost = Float64Array.from(tasks, (t) => of.setup[t.kind] ?? 0)
    this.begun = [...(of.begun ?? [])].reduce((bits, kind) => bits | (1 << kinds.indexOf(kind)), 0)
    this.reserved = new Float64Array(this.days)
    this.laid = tasks.map(() => [])
    this.loose = Float64Array.from(tasks, (t) => t.minutes)
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
    this.kinds = new Int32Array(this.days)
  }

  draw(d: number): void {
    const { room, kept, kinds, ends, cause } = this
    room.set(this.whole)
    for (const n of this.lost[d] ?? []) room[n] = 0
    kinds.fill(0)
    kinds[0] = this.begun
    kept.set(this.reserved)
    this.open = 0
    for (let i = 0; i < ends.length; i++) {
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
        continue
      }
      ends[i] = this.done(i, start, this.ratios[i]?.[d] ?? 1)
      if (held >= 0 && ends[i] === ends[held]) cause[i] = cause[held] ?? i
    }
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
  private done(i: number, start: number, ratio: number): number {
    const { days, kept } = this
    let end = start
    let rest = (this.loose[i] ?? 0) * ratio
    while (this.open < days && (this.room[this.open] ?? 0) <= nothing) this.open++
    let n = Math.max(start, this.open)
    for (; rest > nothing && n < days; n++) {
      const piece = this.worked(i, n, Math.min(rest, this.free(i, n) - (kept[n] ?? 0)))
      if (piece <= 0) continue
      rest -= piece
      end = n
    }
    if (rest > nothing) return days
    const laid = this.laid[i] ?? []
    // What it takes beyond the minutes laid for it is done from its first block on.
    let left = Math.max(0, ratio - 1) * this.laidMinutes(i)
    let from = Math.max(start, laid[0]?.n ?? 0)
    for (const b of laid) {
      // What was not done by then comes next, wherever there is room.
      for (; left > nothing && from < b.n; from++) {
        const piece = this.worked(i, from, Math.min(left, this.free(i, from) - (kept[from] ?? 0)))
        if (piece <= 0) continue
        left -= piece
        end = Math.max(end, from)
      }
      // Its room is given back; what is not done in it flows on.
      kept[b.n] = (kept[b.n] ?? 0) - b.minutes
      left += b.minutes * Math.min(1, ratio)
      from = Math.max(from, b.n)
      if (b.n < start) continue
      const piece = this.worked(i, b.n, Math.min(left, b.minutes, this.free(i, b.n)))
      if (piece <= 0) continue
      left -= piece
      end = Math.max(end, b.n)
    }
    for (n = from; left > nothing && n < days; n++) {
      const piece = this.worked(i, n, Math.min(left, this.free(i, n)))
      if (piece <= 0) continue
      left -= piece
      end = Math.max(end, n)
    }
    return left > nothing ? days : end
  }

  /** Minutes of a task that lie on days. */
  private laidMinutes(i: number): number {
    return (this.of.tasks[i]?.minutes ?? 0) - (this.loose[i] ?? 0)
  }

  /** What setting up for a task still costs on a day. */
  private setUp(i: number, n: number): number {
    return ((this.kinds[n] ?? 0) & (this.bit[i] ?? 0)) !== 0 ? 0 : (this.cost[i] ?? 0)
  }

  /** Minutes of a day that a task could have, its setting up counted. */
  private free(i: number, n: number): number {
    return (this.room[n] ?? 0) - this.setUp(i, n)
  }

  private worked(i: number, n: number, piece: number): number {
    if (piece <= nothing) return 0
    const cost = this.setUp(i, n)
    if (cost > 0) this.kinds[n] = (this.kinds[n] ?? 0) | (this.bit[i] ?? 0)
    this.room[n] = (this.room[n] ?? 0) - piece - cost
    return piece
  }

  /** Whether a task may be named as what decides; a few minutes of work are no reason to be late. */
  private isWorthNaming(i: number): boolean {
    return this.waits[i] !== undefined || (this.of.tasks[i]?.minutes ?? 0) >= short
  }

  outlooks(): Outlook[] {
    const { draws } = this.of
    return [...this.releases].map(([episode, row]) => {
      const mine = row.ready.toSorted()
      const beyond = row.release >= this.days
      const chance = beyond ? 0 : mine.filter((n) => n <= row.release).length / draws
      const spread = new Map<number, number>()
      for (const n of mine) {
        const off = Math.max(-28, Math.min(28, n - row.release))
        spread.set(off, (spread.get(off) ?? 0) + 1)
      }
      const most = [...row.lasts].filter(([i]) => this.isWorthNaming(i)).sort((a, b) => b[1] - a[1])[0]
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

/**
 * How many times its minutes a task takes, by draw: its own luck about the pace of its kind. That pace is itself drawn,
 * once per draw for all tasks of the kind, as far apart as the steps it was learnt from leave it open.
 */
function ratiosOf(task: Task, of: ForecastFor): Float32Array {
  const { median, sigma, seen } = of.paces.get(task.kind) ?? { ...prior, seen: 0 }
  const open = sigma / Math.sqrt(prior.worth + seen)
  const [own, ofKind] = [normalsOf(task.id, of), normalsOf(`pace of ${task.kind}`, of)]
  const ratios = new Float32Array(own.length)
  for (let d = 0; d < ratios.length; d++)
    ratios[d] = median * Math.exp(open * (ofKind[d] ?? 0) + sigma * (own[d] ?? 0))
  return ratios
}

/** When what is waited for comes: after days that are exponential about what is usual. */
function waitsOf(task: Task, of: ForecastFor): Int32Array | undefined {
  const usual = of.waits.get(task.id)
  if (usual === undefined) return undefined
  const draw = drawsOf(seedOf(`${of.seed} waits ${task.id}`))
  return Int32Array.from({ length: of.draws }, () => Math.ceil(-Math.log(Math.max(1e-9, draw())) * usual))
}
