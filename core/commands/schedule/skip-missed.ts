import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { releaseOf } from '../../rhythm/slots'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Skips the slot that an episode has missed: the slot is left out, the episode stays in work without a
 * date. Refused for what is on no slot.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “It is on no slot that could be skipped.”
 */
export const skipMissed: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  if (episode.phase.kind !== 'work' || episode.place.kind !== 'slot')
    return refused('It is on no slot that could be skipped.', 'episodes.place')
  const { day } = episode.place
  const at = momentOf(context)
  return ok({
    changes: [
      putRecord(records, 'episodes', { ...episode, place: { kind: 'nothing' }, updatedAt: at }),
      putRecord(records, 'shows', {
        ...show,
        skipped: [...new Set([...show.skipped, day])].sort(),
        updatedAt: at,
      }),
    ],
    sentence: `Skipped ${sayDay(releaseOf(episode, show)?.day ?? day)}; “${titleOf(episode)}” has no date now`,
    about: [id],
  })
}
