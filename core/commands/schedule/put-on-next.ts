import type { Id } from '../../records'
import { refused } from '../../result'
import { openSlots } from '../../rhythm/slots'
import type { Command } from '../change'
import { moveToSlot } from './move-to-slot'

/**
 * Puts an episode whose release has passed on the next slot to come, open or not; what stands there and
 * behind it moves one slot later, up to the next open one. Refused for what is not placed, or is out.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “… has no slot in the next ten years.”
 */
export const putOnNext: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  const next = openSlots(show, [], context.now, 1)[0]
  return next
    ? moveToSlot(records, { episode: id, day: next.original }, context)
    : refused(`${show.title} has no slot in the next ten years.`, 'episodes.place')
}
