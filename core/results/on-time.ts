import type { Episode, Zone } from '../records'
import { daysBetween } from '../rhythm/days'
import { dayAt } from '../rhythm/zone'

/**
 * How many days after its planned day an episode went out, in its show's zone: 0 is on its day, below it is early. Nothing
 * where it is not out, or where it is not known when it was to go out.
 */
export function lateBy(episode: Episode, zone: Zone): number | undefined {
  const { phase } = episode
  if (phase.kind !== 'released' || phase.planned === undefined) return undefined
  return daysBetween(dayAt(Date.parse(phase.planned), zone), dayAt(Date.parse(phase.at), zone))
}

/** How an episode kept its day, in words after a comma: `, on time`, `, 2 days late`, `, 9 days early`; '' where it is not known. */
export function sayOnTime(late: number | undefined): string {
  if (late === undefined) return ''
  if (late === 0) return ', on time'
  const days = `${Math.abs(late)} ${Math.abs(late) === 1 ? 'day' : 'days'}`
  return `, ${days} ${late > 0 ? 'late' : 'early'}`
}

/** Of some releases: how many it is known of whether they were on time, and how many were. */
export function onTimeOf(released: readonly { episode: Episode; zone: Zone }[]): {
  known: number
  onTime: number
} {
  const late = released.flatMap(({ episode, zone }) => lateBy(episode, zone) ?? [])
  return { known: late.length, onTime: late.filter((d) => d === 0).length }
}
