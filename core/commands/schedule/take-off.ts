import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { found } from './placing'

/**
 * Takes an episode off its slot; it stays in work, its steps undated.
 *
 * Refused:
 * - “It has already been released.”
 * - and what `found` refuses
 */
export const takeOff: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode } = read.value
  if (episode.phase.kind === 'released') return refused('It has already been released.', 'episodes.phase')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        place: { kind: 'nothing' },
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Took “${titleOf(episode)}” off the schedule`,
    about: [id],
  })
}
