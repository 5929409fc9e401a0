export function nextFree(taken: readonly number[], from: number): number {
  let n = from
  while (taken.includes(n)) n++
  return n
}
