import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { type Command, putRecord } from '../change'
import { begun, found, working } from './placing'

/**
 * Starts an episode without a slot: it gets its steps, undated.
 *
 * Refused:
 * - “It has already been released.”
 * - and what `found` refuses
 */
export const startWork: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const { episode } = read.value
  if (episode.phase.kind === 'released') return refused('It has already been released.', 'episodes.phase')
  return ok({
    changes: [
      putRecord(records, 'episodes', working(records, episode, context)),
      ...begun(records, episode, context),
    ],
    sentence: `Started “${titleOf(episode)}”`,
    about: [id],
  })
}
