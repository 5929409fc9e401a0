import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Puts away a note, or the offer of a folder, that a follow-on put on Today. The log keeps it.
 *
 * Refused:
 * - “It is no longer there.”
 */
export const dismissFollowed: Command<{ episode: Id; followed: Id }> = (
  records,
  { episode: id, followed },
  context,
) => {
  const episode = records.episodes.get(id)
  const entry = episode?.followed?.find((f) => f.id === followed)
  if (!episode || !entry) return refused('It is no longer there.', 'episodes.followed')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        followed: (episode.followed ?? []).map((f) => (f.id === followed ? { ...f, shows: undefined } : f)),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Put away: ${entry.says}`,
    about: [id],
  })
}
