import type { Busy, Day, Id } from '@core/model'
import type { Occurrence } from '@core/plan/standing'

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
  /** What planning adds to a day that has a part of this work laid already. */
  rest?: boolean
}

/** A day of the week as it is shown; minutes. */
export interface DayShown {
  day: Day
  mine: Shown[]
  standing: Occurrence[]
  taken: Busy[]
  room: number
  used: number
  setup: number
  past: boolean
  free: number
  /** What exceeds its hours. */
  more: number
  /** Its hours differ from its weekday's. */
  own: boolean
}

/** Whether what is dragged is work that a day can take. */
export function carries(event: DragEvent): boolean {
  return ['text/lamp-block', 'text/lamp-episode'].some((t) => event.dataTransfer?.types.includes(t))
}

/** Blocks of a day in the order in which they are shown: done ones, then by clock time, then as laid by hand, then as planned. */
export function inDayOrder(blocks: readonly Shown[]): Shown[] {
  const rank = (b: Shown, i: number): [number, string, number] => [
    b.kind === 'done' ? 0 : 1,
    b.at ?? '~',
    b.place ?? 1000 + i,
  ]
  return blocks
    .map((b, i) => ({ b, r: rank(b, i) }))
    .sort((x, y) => x.r[0] - y.r[0] || (x.r[1] < y.r[1] ? -1 : x.r[1] > y.r[1] ? 1 : x.r[2] - y.r[2]))
    .map((x) => x.b)
}
