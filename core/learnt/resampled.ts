import { randomBeta } from 'd3-random'

/**
 * Medians of resamples of some values, drawn with repetition. A resample of n values is n places drawn evenly from 0 to 1,
 * and its middle is that of the places: they are drawn by their own law, the k-th least of n as a beta of k and n - k + 1
 * and the next one as the least of those that are left, so that a median takes as long for a thousand values as for ten.
 */
export function resampledMedians(values: readonly number[], next: () => number): () => number {
  const sorted = Float64Array.from(values).sort()
  const n = sorted.length
  const k = (n + 1) >> 1
  const place = randomBeta.source(next)(k, n - k + 1)
  const at = (where: number) => sorted[Math.min(n - 1, Math.floor(where * n))] ?? 0
  if (n % 2 === 1) return () => at(place())
  return () => {
    const low = place()
    return (at(low) + at(1 - (1 - low) * (1 - next()) ** (1 / (n - k)))) / 2
  }
}
