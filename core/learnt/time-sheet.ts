import { ascending, rollup, sum } from 'd3-array'
import type { Day, Id, Step, StepKind, Zone } from '../records'
import { dayIn } from '../rhythm/creator'
import { addDays, weekday } from '../rhythm/days'

/** Minutes of work on one step on one day. */
export interface Worked {
  episode: Id
  step: string
  kind: StepKind
  day: Day
  minutes: number
}

/**
 * The work on some steps by day: what was logged on a day stands there, and what was logged before days were kept on the
 * day on which the step was done. What is logged of an open step without a day has none, and is left out.
 */
export function workedOf(steps: readonly Step[], zone: Zone): Worked[] {
  return steps.flatMap((s) => {
    const days = Object.entries(s.worked ?? {}).flatMap(([day, minutes]) =>
      minutes > 0 ? [{ day, minutes }] : [],
    )
    const rest = s.logged - sum(days, (d) => d.minutes)
    const last = s.doneAt !== undefined && rest > 0 ? [{ day: dayIn(s.doneAt, zone), minutes: rest }] : []
    return [...days, ...last].map((d) => ({ episode: s.episode, step: s.name, kind: s.kind, ...d }))
  })
}

/** A week or a month of work: rows are kinds or episodes, columns days; with sums of both. */
export interface TimeSheet {
  from: Day
  until: Day
  days: Day[]
  rows: { name: string; minutes: number[]; sum: number }[]
  sums: number[]
  sum: number
}

/** The days of the week or the month in which a day lies. */
export function daysOf(period: 'week' | 'month', day: Day): Day[] {
  if (period === 'week') {
    const monday = addDays(day, -weekday(day))
    return Array.from({ length: 7 }, (_, i) => addDays(monday, i))
  }
  const first = `${day.slice(0, 7)}-01`
  return Array.from({ length: 31 }, (_, i) => addDays(first, i)).filter(
    (d) => d.slice(0, 7) === day.slice(0, 7),
  )
}

/** The sheet of some days, a row for each name that `of` gives, what took most first. */
export function timeSheet(
  worked: readonly Worked[],
  days: readonly Day[],
  of: (w: Worked) => string,
): TimeSheet {
  const place = new Map(days.map((d, i) => [d, i]))
  const mine = worked.filter((w) => place.has(w.day))
  const by = rollup(
    mine,
    (all) => {
      const minutes = days.map(() => 0)
      for (const w of all) {
        const at = place.get(w.day) ?? 0
        minutes[at] = (minutes[at] ?? 0) + w.minutes
      }
      return minutes
    },
    of,
  )
  const rows = [...by]
    .map(([name, minutes]) => ({ name, minutes, sum: sum(minutes) }))
    .sort((a, b) => b.sum - a.sum || ascending(a.name, b.name))
  const sums = days.map((_, i) => sum(rows, (r) => r.minutes[i]))
  return { from: days[0] ?? '', until: days.at(-1) ?? '', days: [...days], rows, sums, sum: sum(sums) }
}
