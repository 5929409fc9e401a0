import { median } from 'd3-array'
import { manyDraws } from '../plan/chance'

/** No claim is made with fewer cases than these, on either side (`engine` 16). */
export const enough = 10
const permutations = 2000
const { abs, floor, min } = Math
/** Of the claims on a page, at most this share is false (Benjamini and Hochberg). */
const falseShare = 0.1
/** How much of the usual a difference of medians has to be. */
const worthSaying = 0.15

/** Two groups of cases that a page sets side by side, in one unit, and what is usual in that unit. */
export interface Comparison {
  mine: readonly number[]
  others: readonly number[]
  usual: number
  /** Each of mine belongs to the one of the others at its place, as what was taken to what was planned. */
  isPaired?: boolean
}

/**
 * The comparisons of one page of which it may be said that they differ (`engine` 16): ten cases on either side, a
 * permutation test of ranks that survives Benjamini and Hochberg over all comparisons of the page, and medians apart by
 * 15 % of the usual. The same cases give the same answer.
 */
export function claimsOf<C extends Comparison>(page: readonly C[]): ReadonlySet<C> {
  const tested = page
    .filter(hasEnough)
    .map((c) => ({ c, p: c.isPaired ? chanceOfPairs(c.mine, c.others) : chanceOfRanks(c.mine, c.others) }))
    .sort((a, b) => a.p - b.p)
  const last = tested.findLastIndex(({ p }, i) => p <= ((i + 1) / tested.length) * falseShare)
  return new Set(
    tested
      .slice(0, last + 1)
      .map(({ c }) => c)
      .filter((c) => apart(c) >= worthSaying * Math.abs(c.usual)),
  )
}

/** Whether either side has the cases for a claim. */
export const hasEnough = ({ mine, others }: Comparison) => min(mine.length, others.length) >= enough

const apart = ({ mine, others }: Comparison) => Math.abs((median(mine) ?? 0) - (median(others) ?? 0))

/**
 * How likely mean ranks are at least this far apart if the groups are drawn from one: two-sided, by 2,000 seeded
 * permutations, (1 + as extreme) / 2,001. Ties have middle ranks.
 */
export function chanceOfRanks(mine: readonly number[], others: readonly number[]): number {
  const ranks = middleRanks([...mine, ...others])
  const n = ranks.length
  // The sum over one group says the difference of means; the smaller group is the quicker to draw.
  const size = min(mine.length, others.length)
  const expected = (size * (n + 1)) / 2
  const isMine = mine.length <= others.length
  let seen = 0
  for (let i = 0; i < size; i++) seen += ranks[isMine ? i : n - 1 - i] ?? 0
  const far = abs(seen - expected) - 1e-9
  const draws = manyDraws(mine.length * 7919 + others.length, size * permutations)
  let asExtreme = 0
  for (let k = 0; k < permutations; k++) {
    let drawn = 0
    for (let i = 0; i < size; i++) {
      const at = i + floor((draws[k * size + i] ?? 0) * (n - i))
      const rank = ranks[at] ?? 0
      ranks[at] = ranks[i] ?? 0
      ranks[i] = rank
      drawn += rank
    }
    if (abs(drawn - expected) >= far) asExtreme++
  }
  return (1 + asExtreme) / (permutations + 1)
}

/**
 * The same where each of mine belongs to one of the others, all above 0: what is ranked is how many times the one is the
 * other, and the two of a pair change places, since what differs from pair to pair is no difference between the groups.
 */
export function chanceOfPairs(mine: readonly number[], others: readonly number[]): number {
  const n = mine.length
  const times = mine.map((m, i) => Math.log(m / (others[i] ?? m)))
  const gaps = middleRanks(times.map(abs)).map((rank, i) => rank * Math.sign(times[i] ?? 0))
  const far = abs(gaps.reduce((sum, gap) => sum + gap, 0)) - 1e-9
  const draws = manyDraws(n, n * permutations)
  let asExtreme = 0
  for (let k = 0; k < permutations; k++) {
    let drawn = 0
    for (let i = 0; i < n; i++) drawn += (draws[k * n + i] ?? 0) < 0.5 ? (gaps[i] ?? 0) : -(gaps[i] ?? 0)
    if (abs(drawn) >= far) asExtreme++
  }
  return (1 + asExtreme) / (permutations + 1)
}

/** The rank of each value from 1, equal values with the middle of their ranks. */
function middleRanks(values: readonly number[]): Float64Array {
  const order = values.map((_, i) => i).sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0))
  const ranks = new Float64Array(values.length)
  for (let from = 0; from < order.length;) {
    let to = from + 1
    while (to < order.length && values[order[to] ?? 0] === values[order[from] ?? 0]) to++
    for (let i = from; i < to; i++) ranks[order[i] ?? 0] = (from + 1 + to) / 2
    from = to
  }
  return ranks
}
