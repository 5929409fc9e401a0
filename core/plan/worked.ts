import type { Day, Id, Step, StepKind, Zone } from '../records'
import { dayIn } from '../rhythm/creator'

/** What working on a step is known from. */
export type WorkedOf = Pick<Step, 'worked' | 'doneAt' | 'litAt' | 'logged' | 'minutes' | 'kind' | 'owner'>

/**
 * Minutes that were worked on a step, by day in the creator's zone: what was timed or typed; a step that
 * was ticked, or ended with its part, and never timed counts with its estimate on that day, since its time has gone all
 * the same; what another did takes none of the creator's.
 */
export function workedByDay(step: WorkedOf, zone: Zone): ReadonlyMap<Day, number> {
  const days = new Map<Day, number>()
  for (const [day, minutes] of Object.entries(step.worked ?? {})) if (minutes > 0) days.set(day, minutes)
  const ended = step.doneAt ?? step.litAt
  if (days.size === 0 && ended !== undefined && step.owner === 'me') {
    const minutes = step.logged > 0 ? step.logged : step.minutes
    if (minutes > 0) days.set(dayIn(ended, zone), minutes)
  }
  return days
}

/** Minutes worked on each day from a date on, and which kinds of work were begun on one. */
export interface Worked {
  minutes: Map<Day, number>
  kinds: Map<Day, Set<StepKind>>
}

/** What was worked on the days from a date on, over many steps. */
export function workedSince(steps: Iterable<WorkedOf>, zone: Zone, from: Day): Worked {
  const worked: Worked = { minutes: new Map(), kinds: new Map() }
  for (const step of steps) {
    if (step.worked === undefined && (step.doneAt ?? step.litAt) === undefined) continue
    for (const [day, minutes] of workedByDay(step, zone)) {
      if (day < from) continue
      worked.minutes.set(day, (worked.minutes.get(day) ?? 0) + minutes)
      const kinds = worked.kinds.get(day) ?? new Set()
      kinds.add(step.kind)
      worked.kinds.set(day, kinds)
    }
  }
  return worked
}

/** The episodes on which was worked since a date, whatever became of them after. */
export function workedOn(steps: Iterable<WorkedOf & { episode: Id }>, zone: Zone, from: Day): Set<Id> {
  const on = new Set<Id>()
  for (const step of steps) {
    if ((step.worked === undefined && (step.doneAt ?? step.litAt) === undefined) || on.has(step.episode))
      continue
    for (const day of workedByDay(step, zone).keys()) if (day >= from) on.add(step.episode)
  }
  return on
}
