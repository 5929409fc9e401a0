import type { Day, Id, Lead, Settings } from '../records'
import { dayNumber, dayOf, daysBetween, weekday } from '../rhythm/days'
import { inOrder, type Needing } from './needs'

/**
 * Tells whether a day number is a working day; and of a day that was taken out of the hours, on which day that was said.
 */
export interface WorkingDays {
  (day: number): boolean
  lostOn?: (day: number) => number | undefined
}

/**
 * The days with hours in the creator's week, minus days off. A week without any hours counts every day, so
 * that counting back ends.
 */
export function workingDays(
  settings: Pick<Settings, 'hours' | 'daysOff'> & Partial<Pick<Settings, 'exceptions' | 'lostOn'>>,
): WorkingDays {
  const off = new Set(settings.daysOff.map(dayNumber))
  const any = settings.hours.some((h) => h > 0)
  const own = new Map(
    Object.entries(settings.exceptions ?? {}).map(([day, minutes]) => [dayNumber(day), minutes > 0]),
  )
  const said = new Map(
    Object.entries(settings.lostOn ?? {}).map(([day, on]) => [dayNumber(day), dayNumber(on)]),
  )
  const works = (day: number) =>
    own.get(day) ?? (!off.has(day) && (!any || (settings.hours[weekday(day)] ?? 0) > 0))
  return said.size === 0 ? works : Object.assign(works, { lostOn: (day: number) => said.get(day) })
}

/** Whether a day counts for due dates: a working day, or one that was lost when it had come already. */
const counts = (day: number, works: WorkingDays) => works(day) || (works.lostOn?.(day) ?? -Infinity) >= day

/**
 * The latest working day on or before a day number; after a year without one, the day itself. Past days that were lost
 * ahead of time it goes back no further than to the day on which that was said: what is lost does not make late what was
 * not.
 */
export function workingDayBefore(day: number, works: WorkingDays): number {
  let floor = -Infinity
  for (let d = day; d > day - 366; d--) {
    if (d <= floor) return floor
    if (counts(d, works)) return d
    floor = Math.max(floor, works.lostOn?.(d) ?? -Infinity)
  }
  return day
}

/** The earliest working day on or after a day number; after a year without one, the day itself. */
export function workingDayAfter(day: number, works: WorkingDays): number {
  for (let d = day; d < day + 366; d++) if (counts(d, works)) return d
  return day
}

/** What counting back needs to know of a step. */
export interface Dated extends Needing {
  lead: Lead
  /** It has a moment of its own, which short notice does not press. */
  fixed?: boolean
  /** The day that was agreed for it with others: it is due then, whatever its lead and what needs it say. */
  on?: Day | undefined
}

/** The days there are for a release from the day on which it was put there, and those that its work takes. */
export interface Notice {
  /** The day on which it was put on its slot. */
  from: Day
  days: number
  usual: number
}

/** Days that a step's lead comes to, counted through to the release; nothing for what follows it. */
function throughLead(step: Dated, byId: ReadonlyMap<Id, Dated>, depth = 0): number | undefined {
  const { lead } = step
  if (lead.kind === 'after') return undefined
  if (lead.kind === 'before') return lead.days
  const other = byId.get(lead.step)
  const on = other && depth < byId.size ? throughLead(other, byId, depth + 1) : 0
  return lead.days + (on ?? 0)
}

/** Whether a release is nearer than its work reaches back (`engine` 2b). */
export function isShort({ days, usual }: Pick<Notice, 'days' | 'usual'>): boolean {
  return days < usual
}

/** A short notice in words. */
export function sayNotice({ days, usual }: Pick<Notice, 'days' | 'usual'>): string {
  return `${days} ${days === 1 ? 'day' : 'days'} for what usually takes ${usual}`
}

/** The notice on which a release stands; `open` are its steps that were not done on the day it was put there. */
export function noticeOf(steps: readonly Dated[], open: ReadonlySet<Id>, from: Day, release: Day): Notice {
  const byId = new Map(steps.map((s) => [s.id, s]))
  const days = Math.max(0, daysBetween(from, release))
  const usual = Math.max(
    0,
    ...steps.filter((s) => open.has(s.id) && s.fixed !== true).map((s) => throughLead(s, byId) ?? 0),
  )
  return { from, days, usual }
}

/**
 * Due dates by step id, counted back from the release's local date (`engine` 2): a lead is in calendar
 * days, a due date the latest working day on or before it; steps after release go the other way; a lead may
 * refer to another step; then, in reverse order of needs, a step is due no later than any that depends on
 * it. Steps after release press on nobody before it. A lead on another step that is missing, or that refers
 * in a circle, counts from the release itself. On short notice the leads before the release are pressed together in
 * proportion, and none is due before the day on which it was put there. What is agreed with others is due on its day.
 */
export function dueDates(
  steps: readonly Dated[],
  release: Day,
  works: WorkingDays,
  notice?: Notice,
): Map<Id, Day> {
  const order = inOrder(steps)
  const row = order.ok ? order.value : steps
  const byId = new Map(steps.map((s) => [s.id, s]))
  const out = dayNumber(release)
  const own = new Map<Id, number>()
  const earliest = notice ? dayNumber(notice.from) : -Infinity
  const ownDue = (step: Dated, depth: number): number => {
    const known = own.get(step.id)
    if (known !== undefined) return known
    const { lead } = step
    let due: number
    if (step.on !== undefined) {
      own.set(step.id, dayNumber(step.on))
      return dayNumber(step.on)
    }
    if (lead.kind === 'after') due = workingDayAfter(out + lead.days, works)
    else if (notice && isShort(notice) && step.fixed !== true) {
      const pressed = Math.floor(((throughLead(step, byId) ?? 0) * notice.days) / notice.usual + 0.5)
      due = workingDayBefore(out - pressed, works)
    } else if (lead.kind === 'before') due = workingDayBefore(out - lead.days, works)
    else {
      const other = byId.get(lead.step)
      const from =
        other && other.lead.kind !== 'after' && depth < steps.length ? ownDue(other, depth + 1) : out
      due = workingDayBefore(from - lead.days, works)
    }
    due = Math.max(due, earliest)
    own.set(step.id, due)
    return due
  }
  for (const step of row) ownDue(step, 0)
  // From here on all are known, and may be made earlier.
  const due = own
  for (const step of [...row].reverse()) {
    if (step.lead.kind === 'after') continue
    const mine = due.get(step.id) ?? out
    for (const need of step.needs) {
      const before = due.get(need)
      if (byId.get(need)?.on !== undefined) continue
      if (before !== undefined && byId.get(need)?.lead.kind !== 'after' && mine < before) due.set(need, mine)
    }
  }
  const days = new Map<Id, Day>()
  for (const [id, n] of due) days.set(id, dayOf(n))
  return days
}
