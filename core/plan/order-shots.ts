import type { Id } from '../records'
import type { Shot, ShotDay } from './shots'
import { bestOrder, exactly } from './shots-exact'
import { togetherBySetUp } from './shots-together'

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
 * The order in which shots are filmed so that least is changed (`engine` 13), where it is certain at once: of up to 12
 * shots, or of any number in up to 12 set-ups. Nothing where it must be sought (`ShotSearch`), which comes near it. What
 * must follow is never broken; daylight is kept while any order keeps it. Ties that go round in a circle, and what the
 * hand has put where it can't stand, are let go.
 */
export function certainOrder(shots: readonly Shot[], day: ShotDay): Shot[] | undefined {
  const clear = untangled(shots)
  if (clear.length > exactly) return togetherBySetUp(clear, day)
  const free = clear.map((s) => ({ ...s, behind: undefined }))
  return bestOrder(clear, day) ?? bestOrder(free, day) ?? free
}
