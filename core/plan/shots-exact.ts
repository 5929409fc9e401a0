import { changeBetween, isLess, type OrderCost, type Shot, type ShotDay } from './shots'

/** As many shots are ordered exactly. */
export const exactly = 12

/** A way to have filmed a set of shots: what it cost, its last shot, and the way before. */
interface Way {
  cost: OrderCost
  last: number
  before: Way | undefined
}

/**
 * The best order of shots, by dynamic programming over sets (Held and Karp): for each set and last shot the ways that
 * no other beats both in light and in minutes, since what comes later depends on the time that has gone. Nothing where
 * no order keeps what must follow and what was put by hand. 2ⁿ·n² ways at worst; for n up to `exactly`.
 */
export function bestOrder(shots: readonly Shot[], day: ShotDay): Shot[] | undefined {
  const n = shots.length
  if (n === 0) return []
  const index = new Map(shots.map((s, i) => [s.id, i]))
  const bit = (i: number) => 1 << i
  const needs = shots.map((s) => s.after.reduce((set, id) => set | bit(index.get(id) ?? 0), 0))
  const behind = shots.map((s) => (s.behind === undefined ? undefined : (index.get(s.behind) ?? -1)))
  const followers = shots.map((_, i) => behind.indexOf(i))
  const minutes = Array.from({ length: bit(n) }, (_, set) =>
    shots.reduce((sum, s, i) => (set & bit(i) ? sum + s.minutes : sum), 0),
  )
  const ways: (Way[] | undefined)[] = []
  const add = (set: number, way: Way) => {
    const known = (ways[set] ??= [])
    const beats = (a: Way, b: Way) =>
      a.last === b.last &&
      a.cost.dark <= b.cost.dark &&
      a.cost.change <= b.cost.change &&
      !isLess(b.cost, a.cost)
    if (known.some((k) => beats(k, way))) return
    ways[set] = [...known.filter((k) => !beats(way, k)), way]
  }
  const step = (set: number, to: number, from: Way | undefined) => {
    const shot = shots[to]
    const last = from && shots[from.last]
    if (!shot) return
    const change = (from?.cost.change ?? 0) + (last ? changeBetween(last, shot, day.costs) : 0)
    const ends = (minutes[set] ?? 0) + shot.minutes + change
    const count = placedIn(set)
    add(set | bit(to), {
      cost: {
        dark: (from?.cost.dark ?? 0) + (shot.daylight && ends > day.light ? 1 : 0),
        change,
        musts: (from?.cost.musts ?? 0) + (shot.must ? count : 0),
        turned: (from?.cost.turned ?? 0) + placedIn(set >> (to + 1)),
      },
      last: to,
      before: from,
    })
  }
  for (let to = 0; to < n; to++) if (needs[to] === 0 && (behind[to] ?? -1) === -1) step(0, to, undefined)
  for (let set = 1; set < bit(n); set++)
    for (const way of ways[set] ?? []) {
      const follower = followers[way.last] ?? -1
      for (let to = 0; to < n; to++) {
        if (set & bit(to) || ((needs[to] ?? 0) & set) !== needs[to]) continue
        if (follower >= 0 && to !== follower) continue
        if (behind[to] !== undefined && behind[to] !== way.last) continue
        step(set, to, way)
      }
    }
  const best = (ways[bit(n) - 1] ?? []).reduce<Way | undefined>(
    (least, way) => (!least || isLess(way.cost, least.cost) ? way : least),
    undefined,
  )
  if (!best) return undefined
  const order: Shot[] = []
  for (let way: Way | undefined = best; way; way = way.before) {
    const shot = shots[way.last]
    if (shot) order.unshift(shot)
  }
  return order
}

/** How many shots a set has. */
function placedIn(set: number): number {
  let count = 0
  for (let left = set; left > 0; left &= left - 1) count++
  return count
}
