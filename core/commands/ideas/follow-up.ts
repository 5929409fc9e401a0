import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { titleOf } from '../../release/parts'
import { sayNumber } from '../../rhythm/numbering'
import { type Command, putRecord } from '../change'
import { newIdea } from './new-idea'

/**
 * Makes an idea of what should follow an episode: with its topics, series and guests at hand, and a note of what it follows.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “There is an idea that follows it already.”
 */
export const followUp: Command<{ episode: Id; why?: string | undefined }> = (
  records,
  { episode: id, why },
  context,
) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show) return refused('This episode is no longer there.', 'episodes')
  const open = [...records.episodes.values()].some(
    (e) => e.follows === id && (e.phase.kind === 'idea' || e.phase.kind === 'work'),
  )
  if (open) return refused('There is an idea that follows it already.', 'episodes.follows')
  const number = sayNumber(show, episode.number, episode.code)
  const idea = newIdea(records, show.id, `After ${titleOf(episode)}`.slice(0, 300), context)
  const follow = {
    ...idea,
    follows: id,
    topics: episode.topics,
    note: `Follows ${number} “${titleOf(episode)}”.`,
    idea: {
      ...idea.idea,
      standing: 'promising' as const,
      series: episode.idea.series,
      keywords: episode.idea.keywords,
      why: why ?? '',
    },
  }
  return ok({
    changes: [putRecord(records, 'episodes', follow)],
    sentence: `Kept the idea “${follow.title}”`,
    about: [follow.id, id],
  })
}
