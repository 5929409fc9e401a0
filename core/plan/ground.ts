import { capacityOf, chunk, cutTo, inOneSitting, inPieces, shortest, sight, type Piece } from './pieces'
import type { Day, Id, StepKind } from '../records'
import { dayNumber, dayOf, weekday } from '../rhythm/days'
import { scored } from './scored'
import { firstDue, type Laid, type Pinned, type PlanFor, type Way } from './task'

/**
 * Days on which work is laid, with what each kind costs to set up. Blocks that stay are kept where they can
 * be: one that lies before what it needs, or where what it needs finds no room before it, is set aside
 * (`broken`), since no step may come before what it needs.
 */
export class Ground {
  readonly days: number
  readonly first: number
  readonly needs: number[][]
  /** Blocks that could not stay: they lie before what they need, or before their earliest date. */
  readonly broken: Pinned[] = []
  private readonly dependents: number[][]
  readonly release: readonly number[]
  readonly due: readonly number[]
  private readonly earliest: number[]
  /** Blocks that stay, as they were laid; and as far as there are minutes left for them. */
  private readonly stays: { n: number; minutes: number }[][]
  private readonly pins: { n: number; minutes: number }[][]
  /** The last day by which a task must end, because of a block of what needs it. */
  private latest: number[]
  /** The tasks that have such a day, in an order in which all of them make it. */
  private pressed: number[] = []
  private readonly others: { n: number; minutes: number; kind: StepKind | undefined }[]
  /** Which sort of work a task is: its kind and its episode, numbered. */
  readonly sort: readonly number[]
  private readonly capacity: (kind: StepKind, from: number, to: number) => number
  /** Tasks that are laid on the first day even beyond its room (`PlanFor.firstWhole`). */
  readonly today: readonly boolean[]

  constructor(readonly of: PlanFor) {
    const { tasks } = of
    this.days = of.minutes.length
    this.first = dayNumber(of.first)
    const place = new Map(tasks.map((t, i) => [t.id, i]))
    this.needs = tasks.map((t) => t.needs.flatMap((n) => place.get(n) ?? []))
    this.dependents = tasks.map(() => [])
    this.needs.forEach((needs, i) => {
      for (const n of needs) this.dependents[n]?.push(i)
    })
    const at = (day: Day | undefined, none: number) =>
      day === undefined ? none : dayNumber(day) - this.first
    this.release = tasks.map((t) => at(t.release, Infinity))
    this.due = tasks.map((t) => at(t.due, Infinity))
    this.earliest = tasks.map((t) => Math.max(0, at(t.earliest, 0), t.hold ?? 0))
    this.capacity = capacityOf(of)
    const sorts = new Map<string, number>()
    this.sort = tasks.map(({ kind, episode }) => {
      const key = `${kind} ${episode}`
      const known = sorts.get(key) ?? sorts.size
      sorts.set(key, known)
      return known
    })
    this.others = []
    this.stays = tasks.map(() => [])
    this.pins = tasks.map(() => [])
    for (const pin of of.pinned) {
      const n = dayNumber(pin.day) - this.first
      if (n < 0 || n >= this.days || pin.minutes <= 0) continue
      const i = place.get(pin.id)
      if (i === undefined) this.others.push({ n, minutes: pin.minutes, kind: pin.kind })
      else this.stays[i]?.push({ n, minutes: pin.minutes })
    }
    tasks.forEach((t, i) => {
      this.pins[i] = cutTo(this.stays[i]?.sort((a, b) => a.n - b.n) ?? [], t.minutes)
    })
    this.latest = tasks.map(() => Infinity)
    const whole = of.firstWhole ?? 0
    this.today = tasks.map(
      (t, i) =>
        (this.due[i] ?? Infinity) <= 0 &&
        (this.pins[i] ?? []).every((p) => p.n === 0) &&
        t.minutes + (of.begun?.has(t.kind) ? 0 : (of.setup[t.kind] ?? 0)) <= whole,
    )
    if (this.pins.some((p) => p.length > 0)) this.settlePins()
  }

  /** Sets aside the blocks that cannot stay, and finds by when what the others need must end. */
  private settlePins(): void {
    const drop = (i: number, keep: (p: { n: number }) => boolean) => {
      const task = this.of.tasks[i]
      const row = this.pins[i] ?? []
      if (!task || row.every(keep)) return false
      for (const p of row)
        if (!keep(p)) this.broken.push({ id: task.id, day: dayOf(this.first + p.n), minutes: p.minutes })
      // What those that go would have taken is left to the others.
      this.stays[i] = (this.stays[i] ?? []).filter(keep)
      this.pins[i] = cutTo(this.stays[i], task.minutes)
      return true
    }
    const order = this.inOrder(this.of.tasks.map((_, i) => i))
    const begins = new Map<number, number>()
    for (const i of order) {
      const from = Math.max(this.earliest[i] ?? 0, ...(this.needs[i] ?? []).map((n) => begins.get(n) ?? 0))
      drop(i, (p) => p.n >= from)
      begins.set(i, Math.max(from, ...(this.pins[i] ?? []).map((p) => p.n)))
    }
    // What the rest needs is laid by itself, the most pressing first; where it is late, the block that
    // presses on it goes.
    for (let tries = 0; tries <= this.of.tasks.length + this.of.pinned.length; tries++) {
      this.latest = this.latestOf(order)
      const before = order
        .filter((i) => this.latest[i] !== Infinity)
        .sort((a, b) => (this.latest[a] ?? 0) - (this.latest[b] ?? 0))
      this.pressed = this.inOrder(before).filter((i) => this.latest[i] !== Infinity)
      const { ends } = this.laidIn({ order: this.pressed, wait: [], plain: this.of.tasks.map(() => true) })
      const late = before.find((i) => (ends[i] ?? 0) > (this.latest[i] ?? Infinity))
      if (late === undefined) return
      const limit = this.latest[late] ?? 0
      if (!this.behind(late).some((d) => drop(d, (p) => p.n > limit))) return
    }
  }

  private latestOf(order: readonly number[]): number[] {
    const latest = this.of.tasks.map(() => Infinity)
    for (const i of [...order].reverse()) {
      for (const d of this.dependents[i] ?? [])
        latest[i] = Math.min(latest[i] ?? Infinity, latest[d] ?? Infinity, this.pins[d]?.[0]?.n ?? Infinity)
    }
    return latest
  }

  /** All that needs a task, near or far. */
  behind(i: number, seen = new Set<number>()): number[] {
    for (const d of this.dependents[i] ?? [])
      if (!seen.has(d)) {
        seen.add(d)
        this.behind(d, seen)
      }
    return [...seen]
  }

  /**
   * Tasks with what they need before them, changing an order as little as can be. Circles are passed over.
   */
  inOrder(order: readonly number[]): number[] {
    const placed = new Set<number>()
    const row: number[] = []
    const visit = (i: number, depth: number): void => {
      if (placed.has(i) || depth > this.of.tasks.length) return
      for (const n of this.needs[i] ?? []) visit(n, depth + 1)
      if (placed.has(i)) return
      placed.add(i)
      row.push(i)
    }
    for (const i of order) visit(i, 0)
    return row
  }

  /** Tasks by what is most urgent (a due date already counts what depends on it), needs first. */
  byUrgency(): number[] {
    const { tasks } = this.of
    const rank = tasks.map((t, i) => {
      const latest = this.latest[i] ?? Infinity
      return latest < (this.due[i] ?? Infinity) ? { ...t, due: dayOf(this.first + latest) } : t
    })
    return this.inOrder(
      tasks
        .map((_, i) => i)
        .sort((a, b) => {
          const [x, y] = [rank[a], rank[b]]
          return (x && y ? firstDue(x, y) : 0) || a - b
        }),
    )
  }

  /**
   * Lays tasks one after another, each as early as it can be (serial schedule generation). Every assignment
   * of whole tasks to days is matched or bettered in all ends by some order, so that searching orders is
   * enough. Where a block that stays would be passed by what it needs, what it needs is laid first. Time:
   * tasks times days at worst.
   */
  lay(way: Way): Laid {
    const laid = this.laidIn(way)
    if (!laid.ends.some((end, i) => end > (this.latest[i] ?? Infinity))) return laid
    // As it was found to fit when the blocks were settled: those first, in that order, held back by nothing.
    const first = new Set(this.pressed)
    return this.laidIn({
      order: [...this.pressed, ...way.order.filter((i) => !first.has(i))],
      wait: way.wait.map((w, i) => (first.has(i) ? 0 : w)),
      plain: way.plain.map((p, i) => p || first.has(i)),
    })
  }

  private laidIn({ order, wait, plain }: Way): Laid {
    const { tasks, minutes, setup, preferred } = this.of
    const room = [...minutes]
    const kinds: (Set<StepKind> | undefined)[] = []
    if (this.of.begun) kinds[0] = new Set(this.of.begun)
    const ends: number[] = tasks.map(() => -1)
    const blocks: Laid['blocks'] = []
    const setups = new Map<number, number>()
    let [cost, off] = [0, 0]
    const costAt = (kind: StepKind, n: number) => (kinds[n]?.has(kind) ? 0 : (setup[kind] ?? 0))
    const take = (kind: StepKind | undefined, n: number, piece: number) => {
      const c = kind === undefined ? 0 : costAt(kind, n)
      if (c > 0) setups.set(n, (setups.get(n) ?? 0) + c)
      cost += c
      if (kind !== undefined) (kinds[n] ??= new Set()).add(kind)
      room[n] = (room[n] ?? 0) - piece - c
    }
    const put = (i: number, n: number, piece: number, fixed = false) => {
      const task = tasks[i]
      if (!task) return
      take(task.kind, n, piece)
      blocks.push({ id: task.id, day: dayOf(this.first + n), minutes: piece, task: i, n, fixed })
      ends[i] = Math.max(ends[i] ?? -1, n)
    }
    for (const o of this.others) take(o.kind, o.n, o.minutes)
    this.pins.forEach((pins, i) => {
      for (const p of pins) put(i, p.n, p.minutes, true)
    })
    const unplaced: Id[] = []
    for (const i of order) {
      const task = tasks[i]
      if (!task) continue
      let start = this.earliest[i] ?? 0
      for (const n of this.needs[i] ?? []) start = Math.max(start, ends[n] ?? -1)
      const rest = task.minutes - (this.pins[i] ?? []).reduce((sum, p) => sum + p.minutes, 0)
      if (start === 0 && rest > 0 && this.today[i]) {
        put(i, 0, rest)
        continue
      }
      start = Math.max(start, wait[i] ?? 0)
      if (start >= this.days) {
        ends[i] = Infinity
        unplaced.push(task.id)
        continue
      }
      if (rest <= 0) {
        ends[i] = Math.max(ends[i] ?? -1, start)
        continue
      }
      const free = (n: number) => (room[n] ?? 0) - costAt(task.kind, n)
      // A last few minutes join what lies there already.
      const mine = rest < shortest ? this.pins[i]?.find((p) => p.n >= start && free(p.n) >= rest) : undefined
      if (mine) {
        put(i, mine.n, rest)
        continue
      }
      const liked = plain[i] ? undefined : preferred[task.kind]
      const on = liked && liked.length > 0 ? this.onLiked(i, liked, start, rest, free) : undefined
      if (on !== undefined) {
        put(i, on, rest)
        continue
      }
      if ((preferred[task.kind]?.length ?? 0) > 0) off++
      const pieces = this.piecesOf(i, start, rest, free)
      if (!pieces) {
        ends[i] = Infinity
        unplaced.push(task.id)
        continue
      }
      for (const p of pieces) put(i, p.n, p.minutes)
    }
    return { blocks, ends, ...scored(this, blocks, ends, cost, off), unplaced, setups }
  }

  /** The first preferred weekday on which all of it fits, up to its due date. */
  private onLiked(
    i: number,
    liked: readonly number[],
    from: number,
    rest: number,
    free: (n: number) => number,
  ): number | undefined {
    const to = Math.min(this.due[i] ?? Infinity, this.latest[i] ?? Infinity, this.days - 1)
    for (let n = from; n <= to; n++) if (liked.includes(weekday(this.first + n)) && free(n) >= rest) return n
    return undefined
  }

  /**
   * Where the minutes of one task go, as early as can be; nothing where they find no room. A sitting goes
   * whole onto a day, unless no day up to its release (or in four weeks, where none presses) could take it even when
   * empty. Pieces are of half an hour at least, of a quarter where the days leave no other way, shorter only
   * where no day has a quarter of an hour, and never so that what is left could not be laid any more.
   */
  private piecesOf(i: number, start: number, rest: number, free: (n: number) => number): Piece[] | undefined {
    const task = this.of.tasks[i]
    if (!task) return undefined
    // A longer day behind its release, or behind a block that needs it, is none that could take it.
    const bound = Math.min(this.release[i] ?? Infinity, this.latest[i] ?? Infinity)
    const last = Math.min(this.days - 1, bound === Infinity || bound < start ? start + sight : bound)
    let largest = this.capacity(task.kind, start, last)
    if (largest <= 0) largest = this.capacity(task.kind, start, this.days - 1)
    if (largest <= 0) return undefined
    const isSitting = (!task.split || rest < 2 * chunk) && rest <= largest
    return isSitting
      ? inOneSitting(rest, start, this.days, free)
      : inPieces(rest, start, this.days, free, largest)
  }
}
