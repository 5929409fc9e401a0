import type { Id } from '../records'
import { counted, type Shot, type ShotDay, type ShotOrder } from './shots'
import { bestOrder, exactly } from './shots-exact'
import { searched } from './shots-search'

/** The shots without ties that can't hold: to what is not filmed that day, to themselves, or in a circle. */
export function untangled(shots: readonly Shot[]): Shot[] {
  const known = new Map(shots.map((s) => [s.id, s]))
  const reaches = (from: Id, to: Id, seen = new Set<Id>()): boolean =>
    from === to ||
    (!seen.has(from) && (known.get(from)?.after ?? []).some((id) => reaches(id, to, seen.add(from))))
  return shots.map((s) => ({
    ...s,
    after: s.after.filter((id) => known.has(id) && !reaches(id, s.id)),
    behind: s.behind === '' || known.has(s.behind ?? '-') ? s.behind : undefined,
  }))
}

/**
 * The order in which shots are filmed so that least is changed (`engine` 13): exact up to 12 shots, above that by
 * seeded insertion and exchange, which is near it. What must follow is never broken; daylight is kept while any order
 * keeps it. Ties that go round in a circle, and what the hand has put where it can't stand, are let go.
 */
export function orderShots(shots: readonly Shot[], day: ShotDay, tries = 4000): ShotOrder {
  const clear = untangled(shots)
  const free = clear.map((s) => ({ ...s, behind: undefined }))
  const found =
    clear.length <= exactly
      ? (bestOrder(clear, day) ?? bestOrder(free, day) ?? free)
      : searched(clear, day, tries)
  return counted(found, day)
}
