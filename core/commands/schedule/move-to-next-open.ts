import type { Id } from '../../records'
import { refused } from '../../result'
import { openSlots } from '../../rhythm/slots'
import type { Command } from '../change'
import { placeOnSlot } from './place-on-slot'
import { found } from './placing'

/**
 * Moves an unreleased episode that was not released in time onto the next open slot.
 *
 * Refused:
 * - “… has no open slot in the next ten years.”
 * - and what `found` refuses
 */
export const moveToNextOpen: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { show } = read.value
  const next = openSlots(show, records.episodes.values(), context.now, 1)[0]
  return next
    ? placeOnSlot(records, { episode: id, day: next.original }, context)
    : refused(`${show.title} has no open slot in the next ten years.`, 'episodes.place')
}
