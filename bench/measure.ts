/** The middle of several runs of a piece of work, in ms, after one run to warm up. */
export function middle(runs: number, work: () => unknown): number {
  work()
  const times = Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((a, b) => a - b)
  return times[Math.floor(times.length / 2)] ?? 0
}

/** One line of figures: what was measured, its time, and its ratio to the yardstick. */
export function line(what: string, ms: number, yardstick?: number): string {
  return `${what.padEnd(58)} ${ms.toFixed(1).padStart(9)} ms${yardstick === undefined ? '' : `   ${(ms / yardstick).toFixed(1).padStart(8)} × the plain loop`}`
}
