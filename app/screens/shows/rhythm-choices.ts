import type { RhythmWish } from '@core/rhythm/rule'

/** How often a show may go out, as it is chosen. */
export const every = [
  { label: 'every week', kind: 'week', n: 1 },
  { label: 'every second week', kind: 'week', n: 2 },
  { label: 'every third week', kind: 'week', n: 3 },
  { label: 'every fourth week', kind: 'week', n: 4 },
  { label: 'every sixth week', kind: 'week', n: 6 },
  { label: 'every eighth week', kind: 'week', n: 8 },
  { label: 'every other day', kind: 'day', n: 2 },
  { label: 'every third day', kind: 'day', n: 3 },
  { label: 'every day', kind: 'day', n: 1 },
  { label: 'on certain weekdays of the month', kind: 'month', n: 1 },
] as const
/** Which of a month's weekdays. */
export const nths = [
  { n: 1, label: 'first' },
  { n: 2, label: 'second' },
  { n: 3, label: 'third' },
  { n: 4, label: 'fourth' },
  { n: -1, label: 'last' },
]
/** A wish with another frequency; weekdays and seasons that were chosen stay as far as they can. */
export function withEvery(wish: RhythmWish, e: (typeof every)[number]): RhythmWish {
  const season = wish.season === undefined ? {} : { season: wish.season }
  const weekday = wish.kind === 'week' ? (wish.weekdays[0] ?? 3) : wish.kind === 'month' ? wish.weekday : 3
  switch (e.kind) {
    case 'day':
      return { kind: 'day', every: e.n, ...season }
    case 'month':
      return { kind: 'month', every: e.n, nths: [1, 3], weekday, ...season }
    case 'week':
      return {
        kind: 'week',
        every: e.n,
        weekdays: wish.kind === 'week' ? wish.weekdays : [weekday],
        ...season,
      }
  }
}
