import type { Id } from '../records'
import { drawsOf } from './chance'
import { Ground } from './ground'
import {
  isBetter,
  type Laid,
  type PlanCost,
  type PlanFor,
  type Pinned,
  type Task,
  type WorkBlock,
} from './task'

export { isBetter, type WorkBlock, type Pinned, type PlanFor, type PlanCost, type Task } from './task'

export interface Plan {
  /** `fixed` ones are those that stay where they are. */
  blocks: (WorkBlock & { fixed: boolean })[]
  score: PlanCost
  /** Releases that are missed, by episode. */
  missed: Id[]
  /** Work that found no room at all. */
  unplaced: Id[]
}

/**
 * A state of the search: the order of tasks, what is held back, what goes without its preferred day, and
 * releases given up, whose work comes last.
 */
interface State {
  order: number[]
  wait: number[]
  plain: boolean[]
  given: Set<Id>
}

/** Tries without a better plan after which the search begins anew from another order. */
const patience = 120
/** Tries after which the search turns between looking for other orders and calming days. */
const turn = 400

/**
 * A planner: a first full plan at once, then better ones for as long as it is asked. Seeded local search
 * over orders (moves of one task, of a whole episode, swaps), over which releases are given up so that the
 * others have their room, and over holding work back to a day that has its set-up or its like already. It
 * begins anew from another order where it finds nothing better (restarts); the best plan of all is kept, and
 * every other stretch of tries goes on from it to make its restless days calmer.
 */
export class Planner {
  private readonly ground: Ground
  private readonly draw: () => number
  private readonly episodes: Id[]
  private state: State
  private kept: Laid
  private best: Laid
  /** The state from which the best plan was laid. */
  private bestState: State
  private idle = 0
  /** Orders tried so far. */
  tried = 0

  constructor(
    private readonly of: PlanFor,
    seed = 1,
  ) {
    this.ground = new Ground(of)
    this.draw = drawsOf(seed)
    this.episodes = [...new Set(of.tasks.map((t) => t.episode))]
    this.state = {
      order: this.ground.byUrgency(),
      wait: of.tasks.map(() => 0),
      plain: of.tasks.map(() => false),
      given: new Set(),
    }
    this.best = this.kept = this.lay(this.state)
    this.bestState = this.state
    this.giveUp()
  }

  /** The best plan so far. */
  get plan(): Plan {
    const { blocks, score, missed, unplaced } = this.best
    return {
      blocks: blocks.map(({ id, day, minutes, fixed }) => ({ id, day, minutes, fixed })),
      score,
      missed,
      unplaced,
    }
  }

  /** Blocks that had to stay and could not, since they lie before what they need. */
  get broken(): readonly Pinned[] {
    return this.ground.broken
  }

  private lay({ order, wait, plain, given }: State): Laid {
    if (given.size === 0) return this.ground.lay({ order, wait, plain })
    const late = (i: number) => given.has(this.of.tasks[i]?.episode ?? '')
    const row = [...order.filter((i) => !late(i)), ...order.filter(late)]
    return this.ground.lay({ order: this.ground.inOrder(row), wait, plain })
  }

  private take(state: State, laid: Laid): boolean {
    const better = isBetter(laid.score, this.best.score)
    this.state = state
    this.kept = laid
    if (better) {
      this.best = laid
      this.bestState = state
    }
    return better
  }

  /**
   * Gives releases up one by one while some are missed: of those up to the first that is missed the one
   * with the most work for its weight, so that the room it took goes to the others (Moore and Hodgson's
   * rule for the fewest late jobs, by episodes).
   */
  private giveUp(): void {
    const workOf = new Map<Id, { work: number; release: string; weight: number }>()
    for (const t of this.of.tasks) {
      const seen = workOf.get(t.episode) ?? { work: 0, release: '', weight: 0 }
      seen.work += t.minutes
      seen.weight = Math.max(seen.weight, t.weight)
      if (t.release !== undefined && t.release > seen.release) seen.release = t.release
      workOf.set(t.episode, seen)
    }
    let state: State = { ...this.state, given: new Set() }
    let laid = this.kept
    for (let n = 0; n < Math.min(this.episodes.length, 24); n++) {
      const still = laid.missed.filter((e) => !state.given.has(e))
      const first = still.map((e) => workOf.get(e)?.release ?? '').sort()[0]
      if (first === undefined) break
      const [worst] = this.episodes
        .filter((e) => {
          const release = workOf.get(e)?.release ?? ''
          return !state.given.has(e) && release !== '' && release <= first
        })
        .sort((a, b) => burden(workOf.get(b)) - burden(workOf.get(a)))
      if (worst === undefined) break
      state = { ...state, given: new Set([...state.given, worst]) }
      laid = this.lay(state)
      if (!isBetter(this.best.score, laid.score)) this.take(state, laid)
    }
  }

  /** Tries some more orders; tells whether any was better. */
  improve(tries: number): boolean {
    if (this.of.tasks.length < 2) return false
    let better = false
    for (let i = 0; i < tries; i++) {
      if (this.tried++ % turn === 0 && this.calming) this.backToBest()
      const next = this.varied()
      const laid = this.lay(next)
      if (isBetter(laid.score, this.kept.score)) this.idle = 0
      else if (isBetter(this.kept.score, laid.score)) {
        if (++this.idle > patience) this.restart()
        continue
      } else this.idle++
      if (this.take(next, laid)) better = true
    }
    return better
  }

  /** Whether days are calmed now, from the best plan on, or other orders looked for; in turn. */
  private get calming(): boolean {
    return Math.floor(this.tried / turn) % 2 === 1
  }

  private backToBest(): void {
    this.state = this.bestState
    this.kept = this.best
  }

  private restart(): void {
    this.idle = 0
    if (this.calming || this.draw() < 0.5) {
      this.backToBest()
      return
    }
    const { order } = this.state
    // From what is urgent, shaken; now and then from any order at all.
    const keys = new Map(
      (this.draw() < 0.5 ? this.ground.byUrgency() : order).map((i, at) => [
        i,
        at + this.draw() * order.length * (this.draw() < 0.3 ? 2 : 0.6),
      ]),
    )
    const fresh = this.ground.inOrder([...order].sort((a, b) => (keys.get(a) ?? 0) - (keys.get(b) ?? 0)))
    const given = new Set(this.best.missed.filter(() => this.draw() < 0.7))
    const state: State = {
      order: fresh,
      wait: this.of.tasks.map(() => 0),
      plain: this.of.tasks.map(() => false),
      given,
    }
    this.take(state, this.lay(state))
  }

  private pick(n: number): number {
    return Math.floor(this.draw() * n)
  }

  /**
   * A day to hold a task back to: one on which its set-up stands already or the same episode has the same
   * kind of work, or any from a week before to two weeks after the one it ends on.
   */
  private anotherDay(i: number, task: Task): number {
    const batched = (this.of.setup[task.kind] ?? 0) > 0
    const alike = this.kept.blocks.filter((b) => {
      const other = this.of.tasks[b.task]
      return b.task !== i && other?.kind === task.kind && (batched || other.episode === task.episode)
    })
    const one = alike[this.pick(alike.length)]
    if (one && (batched || this.draw() < 0.5)) return one.n
    const end = this.kept.ends[i] ?? 0
    if (end === Infinity) return 0
    return Math.max(0, Math.min(this.ground.days - 1, end + this.pick(22) - 7))
  }

  /**
   * One task of a restless day on another day, while all others stay where they lie: the rest of the plan
   * is not laid anew for it.
   */
  private calmed(): State {
    const { blocks, ends } = this.kept
    const sorts = new Map<number, Set<number>>()
    const begins: number[] = ends.map((end) => (end === Infinity ? 0 : Math.max(0, end)))
    for (const b of blocks) {
      ;(sorts.get(b.n) ?? sorts.set(b.n, new Set()).get(b.n))?.add(this.ground.sort[b.task] ?? 0)
      begins[b.task] = Math.min(begins[b.task] ?? 0, b.n)
    }
    const [one, other] = [blocks[this.pick(blocks.length)], blocks[this.pick(blocks.length)]]
    if (!one || !other) return this.state
    const size = (b: { n: number }) => sorts.get(b.n)?.size ?? 0
    const i = (size(one) < size(other) ? other : one).task
    const task = this.of.tasks[i]
    if (!task) return this.state
    begins[i] = this.anotherDay(i, task)
    const rank = (x: number) => (begins[x] ?? 0) - (x === i ? 0.5 : 0)
    const order = [...this.state.order].sort((a, b) => rank(a) - rank(b))
    return { ...this.state, order: this.ground.inOrder(order), wait: begins }
  }

  private varied(): State {
    const { state } = this
    if (this.draw() < (this.calming ? 0.85 : 0.25)) return this.calmed()
    const order = [...state.order]
    const wait = [...state.wait]
    let { plain, given } = state
    const kind = this.draw()
    const at = this.pick(order.length)
    const i = order[at] ?? 0
    const task = this.of.tasks[i]
    if (!task) return state
    if (kind < 0.08 && (this.of.preferred[task.kind]?.length ?? 0) > 0) {
      plain = plain.map((p, x) => (x === i ? !p : p))
    } else if (kind < 0.2 && (this.kept.missed.length > 0 || given.size > 0)) {
      const episode = this.episodes[this.pick(this.episodes.length)] ?? ''
      given = new Set(given)
      if (!given.delete(episode)) given.add(episode)
      const [back] = given
      if (back !== undefined && back !== episode && this.draw() < 0.5) given.delete(back)
    } else if (kind < 0.4) {
      wait[i] = this.draw() < 0.3 ? 0 : this.anotherDay(i, task)
    } else if (kind < 0.6) {
      // An episode's whole work further forward or back.
      const mine = order.filter((x) => this.of.tasks[x]?.episode === task.episode)
      const rest = order.filter((x) => this.of.tasks[x]?.episode !== task.episode)
      rest.splice(this.pick(rest.length + 1), 0, ...mine)
      order.splice(0, order.length, ...rest)
      if (this.draw() < 0.5) for (const x of mine) wait[x] = 0
    } else if (kind < 0.75) {
      const other = this.pick(order.length)
      order[at] = order[other] ?? i
      order[other] = i
    } else {
      order.splice(at, 1)
      order.splice(this.pick(order.length + 1), 0, i)
      if (this.draw() < 0.2) wait[i] = 0
    }
    return { order: this.ground.inOrder(order), wait, plain, given }
  }
}

function burden(of: { work: number; weight: number } | undefined): number {
  return of === undefined ? 0 : of.work / of.weight
}
