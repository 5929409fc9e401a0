import { quantileSorted } from 'd3-array'
import { drawsOf } from '../plan/chance'
import { resampledMedians } from './resampled'

/** No claim is made with fewer cases than these, on either side (`engine` 16). */
export const enough = 8
const draws = 400

/**
 * Whether the middles of two groups differ: at least eight cases on either side, and the middle half of the differences of
 * 400 resampled medians all on one side of nothing (`engine` 16; percentile bootstrap). The same values give the same
 * answer.
 */
export function differ(a: readonly number[], b: readonly number[]): boolean {
  if (a.length < enough || b.length < enough) return false
  const next = drawsOf(a.length * 7919 + b.length)
  const [mine, theirs] = [resampledMedians(a, next), resampledMedians(b, next)]
  const gaps = Array.from({ length: draws }, () => mine() - theirs()).sort((x, y) => x - y)
  return (quantileSorted(gaps, 0.25) ?? 0) > 0 || (quantileSorted(gaps, 0.75) ?? 0) < 0
}

/** Whether the middle of some values differs from a fixed one, by the same rule. */
export function differsFrom(values: readonly number[], fixed: number): boolean {
  if (values.length < enough) return false
  const next = drawsOf(values.length)
  const mine = resampledMedians(values, next)
  const gaps = Array.from({ length: draws }, () => mine() - fixed).sort((x, y) => x - y)
  return (quantileSorted(gaps, 0.25) ?? 0) > 0 || (quantileSorted(gaps, 0.75) ?? 0) < 0
}
