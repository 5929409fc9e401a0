import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { numbersOf } from '../../rhythm/numbering'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Fixes an episode's number because it leaves the program (a kit, a folder). Nothing changes when it is
 * fixed already.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const fixNumber: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  const number = numbersOf(show, records.episodes.values(), context.now).episodes.get(id)
  if (episode.number !== undefined || number === undefined)
    return ok({ changes: [], sentence: 'Made a release kit', about: [id] })
  return ok({
    changes: [putRecord(records, 'episodes', { ...episode, number, updatedAt: momentOf(context) })],
    sentence: `Made a release kit, so its number is now fixed: ${show.prefix}${number}`,
    about: [id],
  })
}
