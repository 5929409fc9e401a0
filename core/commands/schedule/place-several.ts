import { outOfWindow } from '../../ideas/usable'
import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { openSlots } from '../../rhythm/slots'
import { type Change, type Command, withChanges } from '../change'
import { placeOnSlot } from './place-on-slot'

/**
 * Places several episodes of one show, in the order given, on its next open slots, as one step of undo.
 * Where their nature forbids a slot, it goes to the next in the row that may. Refused when a show is mixed
 * in, or when a slot is lacking.
 *
 * Refused:
 * - “Some of them are no longer there.”
 * - “They belong to more than one show. Choose ideas of one show, then place them.”
 * - ““…” fits none of the next open slots of …. Leave it out, or give it a date of its own.”
 * - and what `placeOnSlot` refuses
 */
export const placeSeveral: Command<{ episodes: Id[] }> = (records, { episodes }, context) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  const show = records.shows.get(found[0]?.show ?? '')
  if (!show || found.length !== episodes.length)
    return refused('Some of them are no longer there.', 'episodes')
  if (found.some((e) => e.show !== show.id))
    return refused(
      'They belong to more than one show. Choose ideas of one show, then place them.',
      'episodes.show',
    )
  let now = records
  const changes: Change[] = []
  const left = [...found]
  for (const slot of openSlots(show, records.episodes.values(), context.now, found.length + 12)) {
    const at = left.findIndex((e) => outOfWindow(e.nature, slot.day) === undefined)
    const [next] = at < 0 ? [] : left.splice(at, 1)
    if (!next) continue
    const placed = placeOnSlot(now, { episode: next.id, day: slot.original }, context)
    if (!placed.ok) return placed
    changes.push(...placed.value.changes)
    now = withChanges(now, placed.value.changes)
    if (left.length === 0) break
  }
  if (left.length > 0)
    return refused(
      `“${left[0] ? titleOf(left[0]) : ''}” fits none of the next open slots of ${show.title}. Leave it out, or give it a date of its own.`,
      'episodes.place',
    )
  return ok({
    changes,
    sentence:
      found.length === 1
        ? `Put “${found[0] ? titleOf(found[0]) : ''}” on the next open slot`
        : `Put ${found.length} ideas on the next open slots`,
    about: episodes,
  })
}
