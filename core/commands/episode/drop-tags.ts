import type { Id } from '../../records'
import { fitTags } from '../../release/tags'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Drops the last tags until the rest fit under a limit in characters.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const dropTags: Command<{ episode: Id; limit: number }> = (
  records,
  { episode: id, limit },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const { kept, left } = fitTags(episode.tags, limit)
  return ok({
    changes: [putRecord(records, 'episodes', { ...episode, tags: kept, updatedAt: momentOf(context) })],
    sentence: `Dropped the last ${left.length} tags`,
    about: [id],
  })
}
