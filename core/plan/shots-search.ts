import { changeBetween, costOfOrder, isKept, isLess, type Shot, type ShotDay } from './shots'

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

/** A first order: always on to the nearest shot that may come, must-haves and the given order first among equals. */
function nearest(shots: readonly Shot[], day: ShotDay): Shot[] {
  const order: Shot[] = []
  const done = new Set<string>()
  while (order.length < shots.length) {
    const last = order.at(-1)
    const may = shots.filter((s) => !done.has(s.id) && s.after.every((id) => done.has(id)))
    const pinned = may.find((s) => s.behind !== undefined && s.behind === (last?.id ?? ''))
    const cost = (s: Shot) => (last ? changeBetween(last, s, day.costs) : s.daylight ? 0 : 1)
    const next = pinned ?? [...may].sort((a, b) => cost(a) - cost(b) || Number(b.must) - Number(a.must))[0]
    if (!next) break
    order.push(next)
    done.add(next.id)
  }
  return order
}

/**
 * An order of many shots by seeded insertion and exchange: a run of shots is taken out and put in elsewhere, kept where
 * that is no worse and breaks nothing. Always the same for the same shots.
 */
export function searched(shots: readonly Shot[], day: ShotDay, tries: number): Shot[] {
  const given = new Map(shots.map((s, i) => [s.id, i]))
  const next = numbersFrom(shots.length * 7919 + 17)
  let best = nearest(shots, day)
  const pinned = isKept(best)
  let cost = costOfOrder(best, day, given)
  for (let i = 0; i < tries; i++) {
    const from = Math.floor(next() * best.length)
    const length = 1 + Math.floor(next() * next() * Math.min(12, best.length - from))
    const rest = best.toSpliced(from, length)
    const moved = best.slice(from, from + length)
    const order = rest.toSpliced(Math.floor(next() * (rest.length + 1)), 0, ...moved)
    if (!isKept(order, pinned)) continue
    const now = costOfOrder(order, day, given)
    if (isLess(cost, now)) continue
    best = order
    cost = now
  }
  return best
}
