import { changeBetween, costOfOrder, isKept, isLess, type OrderCost, type Shot, type ShotDay } from './shots'

/** Numbers from 0 to below 1, always the same from the same seed (mulberry32). */
function numbersFrom(seed: number): () => number {
  let a = seed
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** The first of those that cost least. */
function least(shots: readonly Shot[], cost: (s: Shot) => number): Shot | undefined {
  let [best, at]: [Shot | undefined, number] = [undefined, Infinity]
  for (const s of shots) {
    const now = cost(s)
    if (now < at) [best, at] = [s, now]
  }
  return best
}

/** A first order: always on to the nearest shot that may come, must-haves and the given order first among equals. */
function nearest(shots: readonly Shot[], day: ShotDay): Shot[] {
  const order: Shot[] = []
  const done = new Set<string>()
  const left = [...shots]
  while (left.length > 0) {
    const last = order.at(-1)
    const may = left.filter((s) => s.after.every((id) => done.has(id)))
    const pinned = may.find((s) => s.behind !== undefined && s.behind === (last?.id ?? ''))
    const cost = (s: Shot) =>
      (last ? changeBetween(last, s, day.costs) : s.daylight ? 0 : 1) + (s.must ? 0 : 0.5)
    const next = pinned ?? least(may, cost)
    if (!next) break
    order.push(next)
    done.add(next.id)
    left.splice(left.indexOf(next), 1)
  }
  return order
}

/**
 * Seeks an order of many shots by seeded insertion and exchange: a run of shots is taken out and put in elsewhere, kept
 * where that is no worse and breaks nothing. `best` stands at any moment; the same tries always come to the same.
 */
export class ShotSearch {
  best: Shot[]
  private cost: OrderCost
  private readonly given: ReadonlyMap<string, number>
  private readonly next: () => number
  private readonly pinned: boolean

  constructor(
    shots: readonly Shot[],
    private readonly day: ShotDay,
  ) {
    this.given = new Map(shots.map((s, i) => [s.id, i]))
    this.next = numbersFrom(shots.length * 7919 + 17)
    // The given order, where it may stand, is not made worse.
    const starts = [nearest(shots, day), ...(isKept(shots) ? [[...shots]] : [])]
    const kept = starts.filter((s) => isKept(s))
    this.pinned = kept.length > 0
    const costed = (this.pinned ? kept : starts).map((s) => ({ s, cost: costOfOrder(s, day, this.given) }))
    const least = costed.reduce((a, b) => (isLess(b.cost, a.cost) ? b : a))
    this.best = least.s
    this.cost = least.cost
  }

  /** Tries so many times; true where anything got better. */
  improve(tries: number): boolean {
    const before = this.cost
    const { best } = this
    if (best.length < 2) return false
    for (let i = 0; i < tries; i++) {
      const from = Math.floor(this.next() * this.best.length)
      const length = 1 + Math.floor(this.next() * this.next() * Math.min(12, this.best.length - from))
      const rest = this.best.toSpliced(from, length)
      const moved = this.best.slice(from, from + length)
      const order = rest.toSpliced(Math.floor(this.next() * (rest.length + 1)), 0, ...moved)
      if (!isKept(order, this.pinned)) continue
      const now = costOfOrder(order, this.day, this.given)
      if (isLess(this.cost, now)) continue
      this.best = order
      this.cost = now
    }
    return isLess(this.cost, before)
  }
}

/** The order of many shots after so many tries. */
export function searched(shots: readonly Shot[], day: ShotDay, tries: number): Shot[] {
  const search = new ShotSearch(shots, day)
  search.improve(tries)
  return search.best
}
