import type { Day, Id, StepKind } from '../model'
import { dayNumber, dayOf, weekday } from '../rhythm/days'
import { drawsOf } from './chance'

/** One open piece of work to be laid on days. */
export interface Task {
  id: Id
  episode: Id
  kind: StepKind
  /** Minutes left; nothing for what another does. */
  minutes: number
  due?: Day | undefined
  needs: readonly Id[]
  earliest?: Day | undefined
  /** May be laid in several blocks of at least half an hour. */
  split: boolean
  /** The release that it must end by; absent for steps after it, not required ones, and episodes without a date. */
  release?: Day | undefined
  /** How much a missed release weighs; 1 for an ordinary one. */
  weight: number
}

export interface Block {
  id: Id
  day: Day
  minutes: number
}

/** What planning keeps to: minutes per day from `first` on, blocks that stay, set-up minutes per kind and day, weekdays (Monday 0) preferred per kind. */
export interface PlanFor {
  tasks: readonly Task[]
  first: Day
  minutes: readonly number[]
  pinned: readonly Block[]
  setup: Partial<Record<StepKind, number>>
  preferred: Partial<Record<StepKind, readonly number[]>>
}

/** How good a plan is, in order of importance (`engine` 4): weight of missed releases, late days, set-up minutes, and how late work ends (minute-days). */
export interface Score {
  missed: number
  late: number
  setup: number
  ends: number
}

export interface Plan {
  blocks: Block[]
  score: Score
  /** Releases that are missed, by episode. */
  missed: Id[]
  /** Work that found no room at all. */
  unplaced: Id[]
}

/** Least minutes of a block that is part of a longer piece of work. */
const chunk = 30

/** Whether one score is better than another, by the first part in which they differ. */
export function isBetter(a: Score, b: Score): boolean {
  if (a.missed !== b.missed) return a.missed < b.missed
  if (a.late !== b.late) return a.late < b.late
  if (a.setup !== b.setup) return a.setup < b.setup
  return a.ends < b.ends
}

/** The order that planning starts from: by what is most urgent (a due date already counts what depends on it), needs first. */
function byUrgency(tasks: readonly Task[], needs: readonly number[][]): number[] {
  const far = '9999'
  const order = tasks
    .map((_, i) => i)
    .sort((a, b) => {
      const [x, y] = [tasks[a]?.due ?? far, tasks[b]?.due ?? far]
      return x < y ? -1 : x > y ? 1 : a - b
    })
  const placed = new Set<number>()
  const row: number[] = []
  const visit = (i: number, path: ReadonlySet<number>): void => {
    if (placed.has(i) || path.has(i)) return
    for (const n of needs[i] ?? []) visit(n, new Set([...path, i]))
    if (placed.has(i)) return
    placed.add(i)
    row.push(i)
  }
  for (const i of order) visit(i, new Set())
  return row
}

/** Days in which a plan is laid, as numbers, with what each kind costs to set up. */
class Ground {
  readonly days: number
  readonly first: number
  private readonly byId: Map<Id, number>
  readonly needs: number[][]
  private readonly pinnedBy: Block[][]
  private readonly release: number[]
  private readonly due: number[]
  private readonly earliest: number[]
  private readonly largest: number

  constructor(readonly of: PlanFor) {
    this.days = of.minutes.length
    this.first = dayNumber(of.first)
    this.byId = new Map(of.tasks.map((t, i) => [t.id, i]))
    this.needs = of.tasks.map((t) => t.needs.flatMap((n) => this.byId.get(n) ?? []))
    this.pinnedBy = of.tasks.map((t) => of.pinned.filter((b) => b.id === t.id))
    const at = (day: Day | undefined, none: number) =>
      day === undefined ? none : dayNumber(day) - this.first
    this.release = of.tasks.map((t) => at(t.release, Infinity))
    this.due = of.tasks.map((t) => at(t.due, Infinity))
    this.earliest = of.tasks.map((t) => Math.max(0, at(t.earliest, 0)))
    this.largest = Math.max(0, ...of.minutes)
  }

  /**
   * Lays tasks one after another, each as early as it can be (serial schedule generation). `wait` holds a task back to a day.
   * Every assignment of whole tasks to days is matched or bettered in all ends by some order, so that searching orders is enough.
   */
  lay(
    order: readonly number[],
    wait: readonly number[],
  ): {
    blocks: (Block & { task: number; n: number })[]
    ends: number[]
    score: Score
    missed: Id[]
    unplaced: Id[]
  } {
    const { tasks, minutes, setup, preferred } = this.of
    const room = [...minutes]
    const kinds: Set<StepKind>[] = room.map(() => new Set())
    const ends: number[] = tasks.map(() => -1)
    const blocks: (Block & { task: number; n: number })[] = []
    let setups = 0
    const costAt = (kind: StepKind, n: number) => (kinds[n]?.has(kind) ? 0 : (setup[kind] ?? 0))
    const put = (i: number, n: number, piece: number) => {
      const task = tasks[i]
      if (!task) return
      const cost = costAt(task.kind, n)
      setups += cost
      kinds[n]?.add(task.kind)
      room[n] = (room[n] ?? 0) - piece - cost
      blocks.push({ id: task.id, day: dayOf(this.first + n), minutes: piece, task: i, n })
      ends[i] = Math.max(ends[i] ?? -1, n)
    }
    const left = tasks.map((t) => t.minutes)
    this.pinnedBy.forEach((pins, i) => {
      for (const pin of pins) {
        const n = dayNumber(pin.day) - this.first
        if (n < 0 || n >= this.days) continue
        put(i, n, pin.minutes)
        left[i] = Math.max(0, (left[i] ?? 0) - pin.minutes)
      }
    })
    const unplaced: Id[] = []
    for (const i of order) {
      const task = tasks[i]
      if (!task) continue
      let start = Math.max(this.earliest[i] ?? 0, wait[i] ?? 0)
      let lost = false
      for (const n of this.needs[i] ?? []) {
        const end = ends[n] ?? -1
        if (end === Infinity) lost = true
        else start = Math.max(start, end)
      }
      if (lost) {
        ends[i] = Infinity
        unplaced.push(task.id)
        continue
      }
      let rest = left[i] ?? 0
      if (rest === 0) {
        ends[i] = Math.max(ends[i] ?? -1, (this.pinnedBy[i]?.length ?? 0) > 0 ? 0 : start)
        continue
      }
      const liked = preferred[task.kind]
      const one =
        liked && liked.length > 0
          ? this.only(
              liked,
              start,
              Math.min(this.due[i] ?? Infinity, this.days - 1),
              rest,
              task.kind,
              room,
              costAt,
            )
          : undefined
      if (one !== undefined) {
        put(i, one, rest)
        continue
      }
      const splits = task.split || rest + (setup[task.kind] ?? 0) > this.largest
      for (let n = start; n < this.days && rest > 0; n++) {
        const free = (room[n] ?? 0) - costAt(task.kind, n)
        if (free <= 0) continue
        if (rest <= free) {
          put(i, n, rest)
          rest = 0
          break
        }
        if (!splits) continue
        const piece = Math.min(free, rest - chunk)
        // A day that has less than a chunk in all is used as it is.
        const fits = piece >= chunk ? piece : free === minutes[n] && !task.split ? free : 0
        if (fits > 0) {
          put(i, n, fits)
          rest -= fits
        }
      }
      if (rest > 0) {
        ends[i] = Infinity
        unplaced.push(task.id)
      }
    }
    return { blocks, ends, ...this.scored(ends, setups), unplaced }
  }

  /** The first preferred weekday on which all of it fits, up to its due date. */
  private only(
    liked: readonly number[],
    from: number,
    to: number,
    rest: number,
    kind: StepKind,
    room: readonly number[],
    costAt: (kind: StepKind, n: number) => number,
  ): number | undefined {
    for (let n = from; n <= to; n++)
      if (liked.includes(weekday(this.first + n)) && (room[n] ?? 0) - costAt(kind, n) >= rest) return n
    return undefined
  }

  private scored(ends: readonly number[], setup: number): { score: Score; missed: Id[] } {
    const missed = new Map<Id, number>()
    let late = 0
    let sum = 0
    this.of.tasks.forEach((task, i) => {
      const end = Math.min(ends[i] ?? 0, this.days)
      if (end > (this.release[i] ?? Infinity))
        missed.set(task.episode, Math.max(task.weight, missed.get(task.episode) ?? 0))
      late += Math.max(0, end - Math.max(0, this.due[i] ?? Infinity))
      sum += end * Math.max(1, task.minutes)
    })
    return {
      score: { missed: [...missed.values()].reduce((s, w) => s + w, 0), late, setup, ends: sum },
      missed: [...missed.keys()],
    }
  }
}

/**
 * A planner: a first full plan at once, then better ones for as long as it is asked. Seeded local search over orders (moves of one task, of a
 * whole episode, swaps) and over holding batched work back to a day that has its set-up already; a worse plan is never kept, an equal one is.
 */
export class Planner {
  private readonly ground: Ground
  private readonly draw: () => number
  private order: number[]
  private wait: number[]
  private kept: ReturnType<Ground['lay']>
  /** Orders tried so far. */
  tried = 0

  constructor(
    private readonly of: PlanFor,
    seed = 1,
  ) {
    this.ground = new Ground(of)
    this.draw = drawsOf(seed)
    this.order = byUrgency(of.tasks, this.ground.needs)
    this.wait = of.tasks.map(() => 0)
    this.kept = this.ground.lay(this.order, this.wait)
  }

  /** The best plan so far. */
  get plan(): Plan {
    return {
      blocks: this.kept.blocks.map(({ id, day, minutes }) => ({ id, day, minutes })),
      score: this.kept.score,
      missed: this.kept.missed,
      unplaced: this.kept.unplaced,
    }
  }

  /** Tries some more orders; tells whether any was better. */
  improve(tries: number): boolean {
    if (this.order.length < 2) return false
    let better = false
    for (let i = 0; i < tries; i++) {
      this.tried++
      const order = [...this.order]
      const wait = [...this.wait]
      this.vary(order, wait)
      const next = this.ground.lay(order, wait)
      if (isBetter(this.kept.score, next.score)) continue
      if (isBetter(next.score, this.kept.score)) better = true
      this.order = order
      this.wait = wait
      this.kept = next
    }
    return better
  }

  private pick(n: number): number {
    return Math.floor(this.draw() * n)
  }

  private vary(order: number[], wait: number[]): void {
    const kind = this.draw()
    const at = this.pick(order.length)
    const i = order[at] ?? 0
    const task = this.of.tasks[i]
    if (!task) return
    if (kind < 0.2 && (this.of.setup[task.kind] ?? 0) > 0) {
      // To a day on which this set-up stands already, or back to as early as can be.
      const others = this.kept.blocks.filter((b) => b.task !== i && this.of.tasks[b.task]?.kind === task.kind)
      wait[i] = this.draw() < 0.3 ? 0 : (others[this.pick(others.length)]?.n ?? 0)
    } else if (kind < 0.45) {
      // An episode's whole work further forward or back.
      const mine = order.filter((x) => this.of.tasks[x]?.episode === task.episode)
      const rest = order.filter((x) => this.of.tasks[x]?.episode !== task.episode)
      rest.splice(this.pick(rest.length + 1), 0, ...mine)
      order.splice(0, order.length, ...rest)
      if (this.draw() < 0.5) for (const x of mine) wait[x] = 0
    } else if (kind < 0.6) {
      const other = this.pick(order.length)
      order[at] = order[other] ?? i
      order[other] = i
    } else {
      order.splice(at, 1)
      order.splice(this.pick(order.length + 1), 0, i)
      if (this.draw() < 0.2) wait[i] = 0
    }
    this.mend(order)
  }

  /** Puts needs before what needs them, changing the order as little as it can. */
  private mend(order: number[]): void {
    const { needs } = this.ground
    const placed = new Set<number>()
    const row: number[] = []
    const visit = (i: number, depth: number): void => {
      if (placed.has(i) || depth > order.length) return
      for (const n of needs[i] ?? []) visit(n, depth + 1)
      if (placed.has(i)) return
      placed.add(i)
      row.push(i)
    }
    for (const i of order) visit(i, 0)
    order.splice(0, order.length, ...row)
  }
}
