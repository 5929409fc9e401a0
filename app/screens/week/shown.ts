import type { Day, Id } from '@core/model'

/** A block as the week shows it: laid by hand or taken from a plan, pinned, what planning would add, or done. */
export interface Shown {
  key: string
  step: Id
  day: Day
  minutes: number
  kind: 'laid' | 'pinned' | 'would' | 'done'
  running: boolean
  at?: string | undefined
  place?: number | undefined
}

/** Blocks of a day in the order in which they are shown: done ones, then by clock time, then as laid by hand, then as planned. */
export function inDayOrder(blocks: readonly Shown[]): Shown[] {
  const rank = (b: Shown, i: number): [number, string, number] => [b.kind === 'done' ? 0 : 1, b.at ?? '~', b.place ?? 1000 + i]
  return blocks.map((b, i) => ({ b, r: rank(b, i) })).sort((x, y) => x.r[0] - y.r[0] || (x.r[1] < y.r[1] ? -1 : x.r[1] > y.r[1] ? 1 : x.r[2] - y.r[2])).map((x) => x.b)
}
