import type { Day, Show, Zone } from '../records'
import { dayAt } from './zone'

/**
 * The creator's own zone: that of the first show that was made; `otherwise` while there is none. Every day
 * on screen and in records is a day in it.
 */
export function creatorZone(
  shows: Iterable<Pick<Show, 'id' | 'zone' | 'createdAt'>>,
  otherwise = 'UTC',
): Zone {
  let first: Pick<Show, 'id' | 'zone' | 'createdAt'> | undefined
  for (const s of shows)
    if (!first || s.createdAt < first.createdAt || (s.createdAt === first.createdAt && s.id < first.id))
      first = s
  return first?.zone ?? otherwise
}

/** The day of a kept moment (ISO 8601) in a zone. */
export function dayIn(moment: string, zone: Zone): Day {
  return dayAt(Date.parse(moment), zone)
}
