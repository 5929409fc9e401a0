import type { Id } from '../records'
import { drawsOf } from './chance'
import { Ground } from './ground'
import { isBetter, type WorkBlock, type Laid, type Pinned, type PlanFor, type PlanCost } from './task'

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

/**
 * A planner: a first full plan at once, then better ones for as long as it is asked. Seeded local search
 * over orders (moves of one task, of a whole episode, swaps), over which releases are given up so that the
 * others have their room, and over holding batched work back to a day that has its set-up already. It
 * begins anew from another order where it finds nothing better (restarts); the best plan of all is kept.
 */
export class Planner {
  private readonly ground: Ground
  private readonly draw: () => number
  private readonly episodes: Id[]
  private state: State
  private kept: Laid
  private best: Laid
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
    if (better) this.best = laid
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
      this.tried++
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

  private restart(): void {
    this.idle = 0
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

  private varied(): State {
    const { state } = this
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
    } else if (kind < 0.35 && (this.of.setup[task.kind] ?? 0) > 0) {
      // To a day on which this set-up stands already, or back to as early as can be.
      const others = this.kept.blocks.filter((b) => b.task !== i && this.of.tasks[b.task]?.kind === task.kind)
      wait[i] = this.draw() < 0.3 ? 0 : (others[this.pick(others.length)]?.n ?? 0)
    } else if (kind < 0.55) {
      // An episode's whole work further forward or back.
      const mine = order.filter((x) => this.of.tasks[x]?.episode === task.episode)
      const rest = order.filter((x) => this.of.tasks[x]?.episode !== task.episode)
      rest.splice(this.pick(rest.length + 1), 0, ...mine)
      order.splice(0, order.length, ...rest)
      if (this.draw() < 0.5) for (const x of mine) wait[x] = 0
    } else if (kind < 0.7) {
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
