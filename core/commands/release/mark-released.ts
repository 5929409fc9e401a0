import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { numbersOf } from '../../rhythm/numbering'
import { releaseOf } from '../../rhythm/slots'
import { dayAt } from '../../rhythm/zone'
import { type Command, momentOf, putRecord } from '../change'
import { withAddresses } from './addresses'
import { nextFree } from './next-free'

/**
 * Answers “is it out?” with yes: released at the moment that is said (`at`, in ms since 1970), else at its release
 * moment, or now before it or without one; its number is fixed, and where it lives is noted. When it was to go out
 * stays known.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “It has already been released.”
 * - “It cannot have gone out later than now. Type the moment at which it did.”
 * - “… is not an address.”
 */
export const markReleased: Command<{
  episode: Id
  at?: number | undefined
  addresses?: Record<Id, string> | undefined
}> = (records, { episode: id, at: said, addresses = {} }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  if (episode.phase.kind === 'released') return refused('It has already been released.', 'episodes.phase')
  if (said !== undefined && said > context.now)
    return refused(
      'It cannot have gone out later than now. Type the moment at which it did.',
      'episodes.phase',
    )
  const placed = withAddresses(episode, addresses)
  if (!placed.ok) return placed
  const release = releaseOf(episode, show)
  const at = said ?? (release && release.at <= context.now ? release.at : context.now)
  const day = dayAt(at, show.zone)
  const number =
    episode.number ??
    numbersOf(show, records.episodes.values(), context.now).episodes.get(id) ??
    nextFree(
      [...records.episodes.values()].flatMap((e) =>
        e.show === show.id && e.number !== undefined ? [e.number] : [],
      ),
      show.nextNumber,
    )
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...placed.value,
        phase: {
          kind: 'released',
          at: new Date(at).toISOString(),
          ...(release ? { planned: new Date(release.at).toISOString() } : {}),
        },
        number,
        spare: false,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Released ${show.prefix}${number} “${titleOf(episode)}”${release ? `, ${sayDay(day)}` : ''}`,
    about: [id],
  })
}
