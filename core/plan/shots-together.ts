import { groups as grouped, sum } from 'd3-array'
import type { Id } from '../records'
import { changeBetween, counted, type Shot, type ShotDay } from './shots'

/** As many set-ups are ordered exactly. */
const most = 12

const setUpOf = (s: Shot) => JSON.stringify([s.place, s.framing, s.light, s.clothes])

/** Put first of all by the hand: what is in hand already. */
const isFirst = (s: Shot) => s.behind === ''

/** Shots of one set-up in their order: what must follow others of it later, must-haves first, else as given. */
function within(shots: readonly Shot[]): Shot[] {
  const ids = new Set(shots.map((s) => s.id))
  const left = [...shots]
  const placed = new Set<Id>()
  const order: Shot[] = []
  while (left.length > 0) {
    const may = left.filter((s) => s.after.every((id) => !ids.has(id) || placed.has(id)))
    const next = may.find(isFirst) ?? may.find((s) => s.must) ?? may[0] ?? left[0]
    if (!next) break
    order.push(next)
    placed.add(next.id)
    left.splice(left.indexOf(next), 1)
  }
  return order
}

/** For each group the groups that come before it, as bits. */
function needsOf(groups: readonly (readonly Shot[])[]): number[] {
  const groupOf = new Map(groups.flatMap((g, i) => g.map((s) => [s.id, i] as const)))
  return groups.map((g, i) =>
    g
      .flatMap((s) => s.after)
      .map((id) => groupOf.get(id) ?? i)
      .reduce((set, at) => (at === i ? set : set | (1 << at)), 0),
  )
}

/**
 * The best order of shots that are laid together by set-up (`engine` 13): fewest minutes of change, then must-haves
 * early, then the given order, by dynamic programming over sets of set-ups; at most 12 of them. Nothing where there are
 * more, where the hand has put one elsewhere than first, where what must follow tears a set-up apart, or where the light
 * would not reach all that need it: those are sought shot by shot.
 */
export function togetherBySetUp(shots: readonly Shot[], day: ShotDay): Shot[] | undefined {
  if (shots.some((s) => s.behind !== undefined && !isFirst(s)) || shots.filter(isFirst).length > 1)
    return undefined
  const groups = grouped(shots, setUpOf).map(([, alike]) => within(alike))
  const n = groups.length
  if (n > most) return undefined
  const order = bestOf(groups, new Map(shots.map((s, i) => [s.id, i])), day)
  if (!order) return undefined
  const laid = order.flatMap((i) => groups[i] ?? [])
  const isHeld = !shots.some(isFirst) || laid.findIndex(isFirst) === 0
  return isHeld && counted(laid, day).dark.length === 0 ? laid : undefined
}

/** The order of groups that costs least, by their places; nothing where they must follow each other in a circle. */
function bestOf(groups: readonly (readonly Shot[])[], given: ReadonlyMap<Id, number>, day: ShotDay) {
  const n = groups.length
  const bit = (i: number) => 1 << i
  const needs = needsOf(groups)
  const firsts = groups.map((g) => g[0])
  const change = firsts.map((a) => firsts.map((b) => (a && b ? changeBetween(a, b, day.costs) : 0)))
  const musts = groups.map((g) => g.filter((s) => s.must).length)
  const at = (s: Shot) => given.get(s.id) ?? 0
  /** Pairs that stand the other way round than they were given, where the one group comes before the other. */
  const turned = groups.map((a) => groups.map((b) => sum(a, (x) => b.filter((y) => at(x) > at(y)).length)))
  const placed = Array.from({ length: bit(n) }, (_, set) =>
    sum(groups, (g, i) => (set & bit(i) ? g.length : 0)),
  )
  const cells = bit(n) * n
  const cost = [0, 1, 2].map(() => new Float64Array(cells).fill(Infinity))
  const [changes, late, turns] = cost
  const from = new Int8Array(cells).fill(-1)
  if (!changes || !late || !turns) return undefined
  const offer = (cell: number, before: number, c: number, m: number, t: number) => {
    const [kc = 0, km = 0, kt = 0] = [changes[cell], late[cell], turns[cell]]
    if (c > kc || (c === kc && (m > km || (m === km && t >= kt)))) return
    changes[cell] = c
    late[cell] = m
    turns[cell] = t
    from[cell] = before
  }
  const pinned = groups.findIndex((g) => g.some(isFirst))
  for (let to = 0; to < n; to++)
    if (needs[to] === 0 && (pinned < 0 || pinned === to)) offer(bit(to) * n + to, -1, 0, 0, 0)
  for (let set = 1; set < bit(n); set++)
    for (let last = 0; last < n; last++) {
      const here = set * n + last
      const [c = Infinity, m = 0, t = 0] = [changes[here], late[here], turns[here]]
      if (c === Infinity) continue
      for (let to = 0; to < n; to++) {
        if (set & bit(to) || ((needs[to] ?? 0) & set) !== needs[to]) continue
        let more = 0
        for (let i = 0; i < n; i++) if (set & bit(i)) more += turned[i]?.[to] ?? 0
        const later = (musts[to] ?? 0) * (placed[set] ?? 0)
        offer((set | bit(to)) * n + to, last, c + (change[last]?.[to] ?? 0), m + later, t + more)
      }
    }
  return wayBack(n, { changes, late, turns }, from)
}

/** The way to the cheapest end, the first first. */
function wayBack(
  n: number,
  { changes, late, turns }: Record<'changes' | 'late' | 'turns', Float64Array>,
  from: Int8Array,
): number[] | undefined {
  let set = (1 << n) - 1
  const ends = Array.from({ length: n }, (_, last) => set * n + last).filter((c) => changes[c] !== Infinity)
  const [end] = ends.sort(
    (a, b) =>
      (changes[a] ?? 0) - (changes[b] ?? 0) ||
      (late[a] ?? 0) - (late[b] ?? 0) ||
      (turns[a] ?? 0) - (turns[b] ?? 0),
  )
  if (end === undefined) return undefined
  const order: number[] = []
  for (let last = end - set * n; last >= 0;) {
    order.unshift(last)
    const before = from[set * n + last] ?? -1
    set &= ~(1 << last)
    last = before
  }
  return order
}
