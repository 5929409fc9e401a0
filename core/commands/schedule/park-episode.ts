import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { found } from './placing'

/**
 * Parks an episode with a reason, and where it is to follow another, after that one. Its work is kept; it
 * leaves its slot.
 *
 * Refused:
 * - “It has been released, so it stays in the Catalogue.”
 * - “It cannot wait for itself. Choose another episode.”
 * - “The episode to wait for is no longer there.”
 * - “Say why, so that you know when to take it up again.”
 * - and what `found` refuses
 */
export const parkEpisode: Command<{ episode: Id; why: string; after?: Id | undefined }> = (
  records,
  { episode: id, why, after },
  context,
) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode } = read.value
  if (episode.phase.kind === 'released')
    return refused('It has been released, so it stays in the Catalogue.', 'episodes.phase')
  if (after === id)
    return refused('It cannot wait for itself. Choose another episode.', 'episodes.phase.after')
  const before = after === undefined ? undefined : records.episodes.get(after)
  if (after !== undefined && !before)
    return refused('The episode to wait for is no longer there.', 'episodes.phase.after')
  if (why.trim() === '' && !before)
    return refused('Say why, so that you know when to take it up again.', 'episodes.phase.why')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        phase: { kind: 'parked', why: why.trim(), ...(after === undefined ? {} : { after }) },
        place: { kind: 'nothing' },
        spare: false,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Parked “${titleOf(episode)}”${before ? ` until after “${titleOf(before)}”` : ''}`,
    about: [id],
  })
}
