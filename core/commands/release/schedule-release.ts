import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { releaseOf } from '../../rhythm/slots'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Says that an episode is uploaded and will come out by itself at its release moment, or that it isn't after all.
 *
 * Refused:
 * - “Only an episode in work can be scheduled.”
 * - “It has no release yet. Put it on a slot first.”
 */
export const scheduleRelease: Command<{ episode: Id; scheduled: boolean }> = (
  records,
  { episode: id, scheduled },
  context,
) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!show || episode.phase.kind !== 'work')
    return refused('Only an episode in work can be scheduled.', 'episodes.phase')
  const release = releaseOf(episode, show)
  if (scheduled && !release)
    return refused('It has no release yet. Put it on a slot first.', 'episodes.place')
  const { since } = episode.phase
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        phase: {
          kind: 'work',
          since,
          ...(scheduled && release ? { scheduled: new Date(release.at).toISOString() } : {}),
        },
        updatedAt: momentOf(context),
      }),
    ],
    sentence:
      scheduled && release
        ? `“${titleOf(episode)}” is uploaded and scheduled for ${sayDay(release.day)} ${release.time}`
        : `“${titleOf(episode)}” is not scheduled after all`,
    about: [id],
  })
}
