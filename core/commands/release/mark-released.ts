import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { numbersOf } from '../../rhythm/numbering'
import { releaseOf } from '../../rhythm/slots'
import { dayAt } from '../../rhythm/zone'
import { type Command, momentOf, putRecord } from '../change'
import { nextFree } from './next-free'

/**
 * Answers “is it out?” with yes: released at its release moment (or now, without one, before it, or
 * `late`), its number fixed. Refused for
 * what is out already.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “It has already been released.”
 */
export const markReleased: Command<{ episode: Id; late?: boolean | undefined }> = (
  records,
  { episode: id, late = false },
  context,
) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  if (episode.phase.kind === 'released') return refused('It has already been released.', 'episodes.phase')
  const release = releaseOf(episode, show)
  const at = release && release.at <= context.now && !late ? release.at : context.now
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
        ...episode,
        phase: { kind: 'released', at: new Date(at).toISOString() },
        number,
        spare: false,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Released ${show.prefix}${number} “${titleOf(episode)}”${release ? `, ${sayDay(day)}` : ''}`,
    about: [id],
  })
}
