/**
 * How often a property is tried: so many times in every run of the tests, and `RUNS` times as often where that is asked
 * for (`npm run trials deeds`, or `RUNS=10 npm run unit`). Test support.
 */
export function runs(usual: number): number {
  return Math.max(1, Math.round(usual * Number(process.env['RUNS'] ?? 1)))
}
