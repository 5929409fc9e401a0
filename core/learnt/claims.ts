import { median, quantile } from 'd3-array'
import { drawsOf } from '../plan/chance'

/** No claim is made with fewer cases than these, on either side (`engine` 16). */
export const enough = 8
const draws = 400

/** The median of a resample of some values, drawn with repetition. */
function resampled(values: readonly number[], next: () => number): number {
  const drawn = values.map(() => values[Math.floor(next() * values.length)] ?? 0)
  return median(drawn) ?? 0
}

/**
 * Whether the middles of two groups differ: at least eight cases on either side, and the middle half of the differences of
 * 400 resampled medians all on one side of nothing (`engine` 16; percentile bootstrap). The same values give the same
 * answer.
 */
export function differ(a: readonly number[], b: readonly number[]): boolean {
  if (a.length < enough || b.length < enough) return false
  const next = drawsOf(a.length * 7919 + b.length)
  const gaps = Array.from({ length: draws }, () => resampled(a, next) - resampled(b, next)).sort(
    (x, y) => x - y,
  )
  return (quantile(gaps, 0.25) ?? 0) > 0 || (quantile(gaps, 0.75) ?? 0) < 0
}

/** Whether the middle of some values differs from a fixed one, by the same rule. */
export function differsFrom(values: readonly number[], fixed: number): boolean {
  if (values.length < enough) return false
  const next = drawsOf(values.length)
  const gaps = Array.from({ length: draws }, () => resampled(values, next) - fixed).sort((x, y) => x - y)
  return (quantile(gaps, 0.25) ?? 0) > 0 || (quantile(gaps, 0.75) ?? 0) < 0
}
