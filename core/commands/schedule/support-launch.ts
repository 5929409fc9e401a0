import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Lets an episode support a launch, or no longer.
 *
 * Refused:
 * - “It is no longer there.”
 */
export const supportLaunch: Command<{ launch: Id; episode: Id; supports: boolean }> = (
  records,
  { launch: id, episode: of, supports },
  context,
) => {
  const launch = records.launches.get(id)
  const episode = records.episodes.get(of)
  if (!launch || !episode) return refused('It is no longer there.', 'launches')
  const episodes = supports ? [...new Set([...launch.episodes, of])] : launch.episodes.filter((e) => e !== of)
  return ok({
    changes: [putRecord(records, 'launches', { ...launch, episodes, updatedAt: momentOf(context) })],
    sentence: supports
      ? `“${episode.title}” supports “${launch.name}”`
      : `“${episode.title}” no longer supports “${launch.name}”`,
    about: [of],
  })
}
