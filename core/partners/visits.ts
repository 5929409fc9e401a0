import type { ClockTime, Day, Episode, Records, Step, Visit } from '../records'
import { folded } from './names'

/** What is noted of a guest's visit to an episode; nothing noted is a bare one. */
export function visitOf(episode: Pick<Episode, 'visits'>, guest: string): Visit {
  return (episode.visits ?? []).find((v) => folded(v.guest) === folded(guest)) ?? { guest }
}

/** When a guest is recorded, in the zone of the episode's show. */
export interface Booking {
  step: Step
  day: Day
  at: ClockTime
  minutes: number
}

/** How far a guest is with an episode, from wished for to told that it is out. */
export type VisitState =
  | { kind: 'wished for' }
  | { kind: 'asked'; since: Day }
  | { kind: 'cannot'; since: Day }
  | { kind: 'coming'; since: Day }
  | { kind: 'booked'; booking: Booking }
  | { kind: 'recorded' }
  | { kind: 'out'; told: boolean }

/** The day and clock time at which a visit is booked: the first timed block of its step, if it has one. */
export function bookingOf(visit: Visit, steps: ReadonlyMap<string, Step>): Booking | undefined {
  const step = steps.get(visit.step ?? '')
  const block = step?.blocks
    .filter((b) => b.at !== undefined && b.missed !== true)
    .sort((a, b) => (a.day < b.day ? 1 : -1))[0]
  return step && block?.at !== undefined
    ? { step, day: block.day, at: block.at, minutes: block.minutes }
    : undefined
}

/**
 * How far a guest is with an episode. What is out is out for all its guests; who is recorded follows from their step being done, so that
 * no second tick can say otherwise.
 */
export function visitState(episode: Episode, guest: string, steps: ReadonlyMap<string, Step>): VisitState {
  const visit = visitOf(episode, guest)
  if (episode.phase.kind === 'released') return { kind: 'out', told: visit.told !== undefined }
  if (steps.get(visit.step ?? '')?.doneAt !== undefined) return { kind: 'recorded' }
  const booking = bookingOf(visit, steps)
  if (booking) return { kind: 'booked', booking }
  if (visit.answered) return { kind: visit.answered.comes ? 'coming' : 'cannot', since: visit.answered.on }
  if (visit.asked !== undefined) return { kind: 'asked', since: visit.asked }
  return { kind: 'wished for' }
}

/** A day and clock time that were agreed with a guest for a step. */
export interface AgreedTime {
  day: Day
  at: ClockTime
  guest: string
}

/** What is agreed with an episode's guests, by the step at which they are recorded; what is recorded stays agreed. */
export function agreedTimes(
  episode: Pick<Episode, 'visits'>,
  steps: readonly Step[],
): ReadonlyMap<string, AgreedTime> {
  const visits = episode.visits ?? []
  if (visits.every((v) => v.step === undefined)) return none
  const byId = new Map(steps.map((s) => [s.id, s]))
  return new Map(
    visits.flatMap((visit) => {
      const booking = bookingOf(visit, byId)
      return booking
        ? [[booking.step.id, { day: booking.day, at: booking.at, guest: visit.guest }] as const]
        : []
    }),
  )
}
const none: ReadonlyMap<string, AgreedTime> = new Map()

/** A time that was agreed with a guest, and for which episode. */
export interface Agreed extends Booking {
  guest: string
  episode: Episode
}

/** What is agreed with guests on some days, from a date on, and not recorded yet; the first first. */
export function agreedOn(
  { episodes, steps }: Pick<Records, 'episodes' | 'steps'>,
  days: readonly Day[],
  from: Day,
): Agreed[] {
  const all: Agreed[] = []
  for (const episode of episodes.values())
    for (const visit of episode.phase.kind === 'work' ? (episode.visits ?? []) : []) {
      const booking = bookingOf(visit, steps)
      if (booking && booking.step.doneAt === undefined && booking.day >= from && days.includes(booking.day))
        all.push({ ...booking, guest: visit.guest, episode })
    }
  return all.sort((a, b) => (`${a.day} ${a.at}` < `${b.day} ${b.at}` ? -1 : 1))
}
