import type { Day } from '../records'
import { addDays, monthName } from '../rhythm/days'
import { slotsOf, type Slot } from '../rhythm/slots'
import type { DealRead } from './deal-reads'
import type { DealView, KeptSlot } from './deal-view'

/** One place of a deal's film: a read that is out or on its way, a slot that is kept, a date that would do. */
export type DealFrame =
  | { kind: 'read'; day: Day | undefined; read: DealRead }
  | { kind: 'kept'; day: Day; kept: KeptSlot }
  | { kind: 'date'; day: Day; slot: Slot }

/** A month of a deal's film: its frames by date, and the show's slots as small marks. */
export interface DealMonth {
  /** `2026-11`. */
  month: string
  /** “Nov”, with the year where it begins. */
  says: string
  frames: DealFrame[]
  slots: { day: Day; is: 'read' | 'fails' | 'kept' | 'date' | 'other' }[]
}

/** Most months that are drawn. */
const most = 36

function monthsFrom(first: string, last: string): string[] {
  const months: string[] = []
  for (let m = first; m <= last && months.length < most; m = addDays(`${m}-28`, 5).slice(0, monthLength))
    months.push(m)
  return months
}
const monthLength = 7

/** A deal as film, a month each, from its first day to its last or to the last thing that is planned for it. */
export function dealMonths(view: DealView, today: Day): { months: DealMonth[]; loose: DealFrame[] } {
  const { deal, show, reads, toFill, dates } = view
  const frames: DealFrame[] = [
    ...reads.map((read): DealFrame => ({ kind: 'read', day: read.day, read })),
    ...toFill.map((kept): DealFrame => ({ kind: 'kept', day: kept.slot.day, kept })),
    ...dates.map((slot): DealFrame => ({ kind: 'date', day: slot.day, slot })),
  ]
  const days = frames.flatMap((f) => f.day ?? []).sort()
  const first = [deal.from, days[0] ?? deal.from].sort()[0] ?? deal.from
  const last = [deal.to ?? today, days.at(-1) ?? today].sort().at(-1) ?? today
  const months = monthsFrom(first.slice(0, monthLength), last.slice(0, monthLength))
  const slots = slotsOf(show, `${months[0] ?? today.slice(0, monthLength)}-01`, addDays(last, 31)).filter(
    (s) => !s.skipped,
  )
  const by = new Map(frames.flatMap((f) => (f.day === undefined ? [] : [[f.day, f] as const])))
  return {
    months: months.map((month, i): DealMonth => ({
      month,
      says: `${monthName(`${month}-01`).slice(0, 3)}${i === 0 || month.endsWith('-01') ? ` ${month.slice(0, 4)}` : ''}`,
      frames: frames
        .filter((f) => f.day?.startsWith(month))
        .sort((a, b) => ((a.day ?? '') < (b.day ?? '') ? -1 : 1)),
      slots: slots
        .filter((s) => s.day.startsWith(month))
        .map((s) => {
          const f = by.get(s.day)
          const is =
            f === undefined
              ? 'other'
              : f.kind === 'read'
                ? f.read.standing === 'fails'
                  ? 'fails'
                  : 'read'
                : f.kind
          return { day: s.day, is }
        }),
    })),
    loose: frames.filter((f) => f.day === undefined),
  }
}
