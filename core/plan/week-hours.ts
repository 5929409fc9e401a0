/** Minutes to which a day's hours are rounded. */
const step = 15

/**
 * A wished sum of minutes over the days that have hours, in quarters of an hour, in the proportions they
 * have now; the quarters that rounding leaves go to the days that lost most by it (largest remainder), so
 * that the sum is the one that was wished, to a quarter of an hour.
 */
export function spreadHours(days: readonly number[], wanted: number): number[] {
  const sum = days.reduce((a, b) => a + b, 0)
  const shares =
    sum === 0 ? days.map((_, i) => (i < 6 ? wanted / 6 : 0)) : days.map((m) => (m * wanted) / sum)
  const whole = shares.map((m) => Math.floor(m / step))
  let left = Math.round(wanted / step) - whole.reduce((a, b) => a + b, 0)
  const byRest = shares
    .map((m, i) => ({ i, rest: m / step - Math.floor(m / step) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
  for (const { i } of byRest) {
    if (left <= 0) break
    if ((shares[i] ?? 0) === 0) continue
    whole[i] = (whole[i] ?? 0) + 1
    left--
  }
  return whole.map((n) => n * step)
}
