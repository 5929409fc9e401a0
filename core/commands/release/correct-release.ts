import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { withAddresses } from './addresses'

/**
 * Corrects when an episode went out and where it lives. `at` in ms since 1970.
 *
 * Refused:
 * - “Only what is out has a moment at which it went out.”
 * - “It cannot have gone out later than now. Type the moment at which it did.”
 * - “… is not an address.”
 */
export const correctRelease: Command<{ episode: Id; at: number; addresses: Record<Id, string> }> = (
  records,
  { episode: id, at, addresses },
  context,
) => {
  const episode = records.episodes.get(id)
  if (episode?.phase.kind !== 'released')
    return refused('Only what is out has a moment at which it went out.', 'episodes.phase')
  if (at > context.now)
    return refused(
      'It cannot have gone out later than now. Type the moment at which it did.',
      'episodes.phase',
    )
  const placed = withAddresses(episode, addresses)
  if (!placed.ok) return placed
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...placed.value,
        phase: { ...episode.phase, at: new Date(at).toISOString() },
        updatedAt: momentOf(context),
      }),
    ],
    sentence: 'Noted when it went out and where it lives',
    about: [id],
  })
}
