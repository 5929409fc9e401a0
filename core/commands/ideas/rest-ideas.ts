import type { Day, Id } from '../../records'
import { refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { dayAt } from '../../rhythm/zone'
import type { Command } from '../change'
import { changedAll, named } from './changed-all'
import { withIdea } from './with-idea'

/**
 * Puts ideas away until a date; they come back unsorted. Refused for a date that is not to come.
 *
 * Refused:
 * - “Choose a date still to come, for example in four weeks.”
 */
export const restIdeas: Command<{ episodes: Id[]; until: Day }> = (records, { episodes, until }, context) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  const zone = records.shows.get(found[0]?.show ?? '')?.zone ?? 'UTC'
  if (until <= dayAt(context.now, zone))
    return refused('Choose a date still to come, for example in four weeks.', 'episodes.idea.restUntil')
  return changedAll(
    records,
    found,
    (e) => withIdea(e, { standing: 'unsorted', restUntil: until }),
    context,
    `Put ${named(found)} away until ${sayDay(until)}`,
  )
}
