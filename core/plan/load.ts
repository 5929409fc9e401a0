import type { Day, Id, Settings, StepKind } from '../model'
import { dayNumber, dayOf, weekday } from '../rhythm/days'

/** What the hours of a date are known from. */
export type HoursOf = Pick<Settings, 'hours' | 'daysOff'> &
  Partial<Pick<Settings, 'exceptions' | 'setup'>> & {
    /** Minutes of dates that standing work and busy time take. */
    taken?: ReadonlyMap<Day, number>
  }

/** Minutes left for episodes on a date: its hours less what standing work and busy time take. */
export function minutesOn(settings: HoursOf, day: Day): number {
  const whole = hoursOn(settings, day)
  const taken = settings.taken?.get(day)
  return taken === undefined ? whole : Math.max(0, whole - taken)
}

/** Minutes the creator has on a date in all: its own where it was given some, none on days off, else its weekday's. */
export function hoursOn(settings: HoursOf, day: Day): number {
  return (
    settings.exceptions?.[day] ?? (settings.daysOff.includes(day) ? 0 : (settings.hours[weekday(day)] ?? 0))
  )
}

/** One open step to be laid on days. */
export interface Work {
  id: Id
  minutes: number
  due: Day
  needs: readonly Id[]
  /** Blocks that the creator's week has already; only the rest is laid. */
  laid?: readonly { day: Day; minutes: number }[]
  /** What sort of work it is, where setting up for it costs minutes once a day. */
  kind?: StepKind
  /** None of it before this date. */
  earliest?: Day | undefined
}

export interface Block {
  id: Id
  day: Day
  minutes: number
}

/** Open work laid on days: its blocks, the day each piece of work ends, and what does not end by its due date. */
export interface Load {
  blocks: Block[]
  ends: Map<Id, Day>
  over: Map<Day, number>
  /** Minutes of setting up on each date. */
  setup: Map<Day, number>
}

/** Least minutes of a block that is part of a longer piece of work. */
const chunk = 30

/** How much of a piece of work fits in the room left of a day: all, a chunk of it, or nothing. */
function pieceOf(minutes: number, room: number, dayIsFresh: boolean): number {
  if (minutes <= room) return minutes
  const piece = Math.min(room, minutes - chunk)
  if (piece >= chunk) return piece
  return dayIsFresh ? room : 0
}

/**
 * Lays work on days, earliest due first, after what it needs, never more on a day than there is, splitting into chunks of
 * at least 30 minutes (less only where a whole day has less). A plain forward schedule (earliest due date, Jackson's rule),
 * at worst quadratic in the work of a day; the planner that improves on it is another computation. `days` is how far it looks.
 */
export function layWork(work: readonly Work[], settings: HoursOf, today: Day, days = 180): Load {
  const load: Load = { blocks: [], ends: new Map(), over: new Map(), setup: new Map() }
  const left = new Map<Id, number>()
  const taken = new Map<Day, number>()
  const kinds = new Map<Day, Set<StepKind>>()
  const costOf = (w: Work, day: Day) =>
    w.kind === undefined || kinds.get(day)?.has(w.kind) ? 0 : (settings.setup?.[w.kind] ?? 0)
  const setUp = (w: Work, day: Day) => {
    const cost = costOf(w, day)
    if (cost > 0) load.setup.set(day, (load.setup.get(day) ?? 0) + cost)
    if (w.kind !== undefined) (kinds.get(day) ?? kinds.set(day, new Set()).get(day))?.add(w.kind)
  }
  for (const w of work) {
    const laid = (w.laid ?? []).filter((b) => b.day >= today)
    for (const b of laid) {
      load.blocks.push({ id: w.id, day: b.day, minutes: b.minutes })
      taken.set(b.day, (taken.get(b.day) ?? 0) + b.minutes + costOf(w, b.day))
      setUp(w, b.day)
      if (b.day > (load.ends.get(w.id) ?? '')) load.ends.set(w.id, b.day)
    }
    const rest = w.minutes - laid.reduce((sum, b) => sum + b.minutes, 0)
    if (rest > 0 || laid.length === 0) left.set(w.id, Math.max(0, rest))
  }
  const row = [...work].sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0))
  const first = dayNumber(today)
  for (let n = first; n < first + days && left.size > 0; n++) {
    const day = dayOf(n)
    const whole = minutesOn(settings, day)
    let room = whole - (taken.get(day) ?? 0)
    const touched = new Set<Id>()
    while (room > 0) {
      const next = row.find(
        (w) =>
          left.has(w.id) &&
          !touched.has(w.id) &&
          (w.earliest === undefined || w.earliest <= day) &&
          !w.needs.some((need) => left.has(need)) &&
          pieceOf(left.get(w.id) ?? 0, room - costOf(w, day), room === whole) > 0,
      )
      if (!next) break
      const minutes = left.get(next.id) ?? 0
      const cost = costOf(next, day)
      const piece = pieceOf(minutes, room - cost, room === whole)
      setUp(next, day)
      touched.add(next.id)
      load.blocks.push({ id: next.id, day, minutes: piece })
      room -= piece + cost
      if (piece === minutes) {
        left.delete(next.id)
        load.ends.set(next.id, later(load.ends.get(next.id), day))
      } else left.set(next.id, minutes - piece)
    }
    for (const w of row)
      if (left.get(w.id) === 0) {
        left.delete(w.id)
        load.ends.set(w.id, later(load.ends.get(w.id), day))
      }
  }
  for (const w of row) {
    const end = load.ends.get(w.id)
    if (w.due >= today && (end === undefined || end > w.due))
      load.over.set(w.due, (load.over.get(w.due) ?? 0) + w.minutes)
  }
  return load
}

function later(a: Day | undefined, b: Day): Day {
  return a !== undefined && a > b ? a : b
}

/** Minutes laid on each date, setting up included. */
export function minutesByDay(load: Pick<Load, 'blocks' | 'setup'>): Map<Day, number> {
  const sum = new Map<Day, number>(load.setup)
  for (const b of load.blocks) sum.set(b.day, (sum.get(b.day) ?? 0) + b.minutes)
  return sum
}
