import type { Episode, Zone } from '../records'
import { daysBetween } from '../rhythm/days'
import { dayAt } from '../rhythm/zone'

/**
 * How many days after its planned day an episode went out, in its show's zone: 0 is on time, early too. Nothing where
 * it is not out, or where it is not known when it was to go out.
 */
export function lateBy(episode: Episode, zone: Zone): number | undefined {
  const { phase } = episode
  if (phase.kind !== 'released' || phase.planned === undefined) return undefined
  return Math.max(0, daysBetween(dayAt(Date.parse(phase.planned), zone), dayAt(Date.parse(phase.at), zone)))
}

/** Of some releases: how many it is known of whether they were on time, and how many were. */
export function onTimeOf(released: readonly { episode: Episode; zone: Zone }[]): {
  known: number
  onTime: number
} {
  const late = released.flatMap(({ episode, zone }) => lateBy(episode, zone) ?? [])
  return { known: late.length, onTime: late.filter((d) => d === 0).length }
}
