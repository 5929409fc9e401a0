import type { Id } from '../records'
import { titleOf } from '../release/parts'
import { fine, refused } from '../result'
import { numbersOf } from '../rhythm/numbering'
import { releaseOf } from '../rhythm/slots'
import { sayDay } from '../rhythm/days'
import { dayAt } from '../rhythm/zone'
import { momentOf, putting, type Command } from './change'

/**
 * Fixes an episode's number because it leaves the program (a kit, a folder). Nothing changes when it is
 * fixed already.
 */
export const fixNumber: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  const number = numbersOf(show, records.episodes.values(), context.now).episodes.get(id)
  if (episode.number !== undefined || number === undefined)
    return fine({ changes: [], sentence: 'Made a release kit', about: [id] })
  return fine({
    changes: [putting(records, 'episodes', { ...episode, number, updatedAt: momentOf(context) })],
    sentence: `Made a release kit, so its number is now fixed: ${show.prefix}${number}`,
    about: [id],
  })
}

/**
 * Answers “is it out?” with yes: released at its release moment (or now, without one, before it, or
 * `late`), its number fixed. Refused for
 * what is out already.
 */
export const markReleased: Command<{ episode: Id; late?: boolean | undefined }> = (
  records,
  { episode: id, late = false },
  context,
) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  if (episode.phase.name === 'released') return refused('It has already been released.', 'episodes.phase')
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
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...episode,
        phase: { name: 'released', at: new Date(at).toISOString() },
        number,
        spare: false,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Released ${show.prefix}${number} “${titleOf(episode)}”${release ? `, ${sayDay(day)}` : ''}`,
    about: [id],
  })
}

function nextFree(taken: readonly number[], from: number): number {
  let n = from
  while (taken.includes(n)) n++
  return n
}
