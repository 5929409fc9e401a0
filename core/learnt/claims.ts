import { quantile } from 'd3-array'
import { drawsOf } from '../plan/chance'

/** No claim is made with fewer cases than these, on either side (`engine` 16). */
export const enough = 8
const draws = 400

/**
 * Medians of resamples of some values, drawn with repetition: sorted once, each draw counted at its place, and the middle
 * walked to.
 */
function resampler(values: readonly number[], next: () => number): () => number {
  const sorted = Float64Array.from(values).sort()
  const n = sorted.length
  const counts = new Uint32Array(n)
  return () => {
    counts.fill(0)
    for (let i = 0; i < n; i++) {
      const at = Math.floor(next() * n)
      counts[at] = (counts[at] ?? 0) + 1
    }
    let seen = 0
    let low: number | undefined
    for (let i = 0; i < n; i++) {
      seen += counts[i] ?? 0
      if (low === undefined && seen > (n - 1) >> 1) low = sorted[i] ?? 0
      if (seen > n >> 1) return ((low ?? 0) + (sorted[i] ?? 0)) / 2
    }
    return low ?? 0
  }
}

/**
 * Whether the middles of two groups differ: at least eight cases on either side, and the middle half of the differences of
 * 400 resampled medians all on one side of nothing (`engine` 16; percentile bootstrap). The same values give the same
 * answer.
 */
export function differ(a: readonly number[], b: readonly number[]): boolean {
  if (a.length < enough || b.length < enough) return false
  const next = drawsOf(a.length * 7919 + b.length)
  const [mine, theirs] = [resampler(a, next), resampler(b, next)]
  const gaps = Array.from({ length: draws }, () => mine() - theirs()).sort((x, y) => x - y)
  return (quantile(gaps, 0.25) ?? 0) > 0 || (quantile(gaps, 0.75) ?? 0) < 0
}

/** Whether the middle of some values differs from a fixed one, by the same rule. */
export function differsFrom(values: readonly number[], fixed: number): boolean {
  if (values.length < enough) return false
  const next = drawsOf(values.length)
  const mine = resampler(values, next)
  const gaps = Array.from({ length: draws }, () => mine() - fixed).sort((x, y) => x - y)
  return (quantile(gaps, 0.25) ?? 0) > 0 || (quantile(gaps, 0.75) ?? 0) < 0
}
