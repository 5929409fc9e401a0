import { same } from '../../records/same'
import type { Change, Episode } from '../../records'

/** Episodes in work that some changes put on a slot where they did not stand before. */
export function newlyPlaced(changes: readonly Change[]): Episode[] {
  return changes.flatMap((c) =>
    c.table === 'episodes' &&
    c.after?.phase.kind === 'work' &&
    c.after.place.kind === 'slot' &&
    !same(c.after.place, c.before?.place)
      ? [c.after]
      : [],
  )
}

/** Whether two episodes stand on one slot of one show, which no slot has room for. */
export function onSameSlot(a: Episode, b: Episode): boolean {
  return a.show === b.show && same(a.place, b.place)
}
