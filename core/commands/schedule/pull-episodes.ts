import type { Day, Episode, Id } from '../../records'
import { refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import type { Slot } from '../../rhythm/slots'
import type { Command } from '../change'
import { lane, moved } from './moved'

/**
 * Closes a gap: the episodes in a row behind an open slot each move one slot earlier.
 *
 * Refused:
 * - “This show is no longer there.”
 * - “This slot is not open.”
 * - “No episode stands behind it.”
 */
export const pullEpisodes: Command<{ show: Id; day: Day }> = (records, { show: id, day }, context) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const row = lane(records, show, day, context.now)
  const at = row.findIndex((x) => x.slot.original === day)
  const gap = row[at]
  if (!gap || gap.episode) return refused('This slot is not open.', 'episodes.place')
  const begin = row.findIndex((x, i) => i > at && x.episode)
  if (begin < 0) return refused('No episode stands behind it.', 'episodes.place')
  const moves: { episode: Episode; to: Slot }[] = []
  for (let i = begin, to = at; row[i]?.episode; i++, to++) {
    const [here, there] = [row[i], row[to]]
    if (here?.episode && there) moves.push({ episode: here.episode, to: there.slot })
  }
  return moved(
    records,
    moves,
    context,
    `Closed the gap on ${sayDay(gap.slot.day)}: ${moves.length} ${moves.length === 1 ? 'episode' : 'episodes'} earlier`,
  )
}
