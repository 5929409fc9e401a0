import type { Id } from '../../records'
import { refused } from '../../result'
import type { Command } from '../change'
import { changedAll } from './changed-all'

/**
 * Brings an episode back among the ideas, with all that was done kept, off its slot.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “It has been released, so it stays in the Catalogue.”
 */
export const backToIdeas: Command<{ episode: Id }> = (records, { episode }, context) => {
  const e = records.episodes.get(episode)
  if (!e) return refused('This episode is no longer there.', 'episodes')
  if (e.phase.kind === 'released')
    return refused('It has been released, so it stays in the Catalogue.', 'episodes.phase')
  return changedAll(
    records,
    [e],
    (x) => ({ ...x, phase: { kind: 'idea' }, place: { kind: 'nothing' } }),
    context,
    `Took “${e.title}” back to Ideas`,
  )
}
