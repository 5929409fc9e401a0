import type { Episode, Id, IdeaStanding } from '../../records'
import { refused } from '../../result'
import type { Command } from '../change'
import { changedAll, named } from './changed-all'
import { withIdea } from './with-idea'

/**
 * The fields that several episodes can get at once. Topics and guests are added; `without` takes topics
 * away.
 */
export interface Edits {
  standing?: IdeaStanding
  show?: Id
  topics?: string[]
  without?: string[]
  series?: string
  rating?: number | undefined
  meant?: string | undefined
  nature?: Episode['nature']
}

/**
 * Edits several at once, as one step of undo. Another show is refused for what is more than an idea.
 *
 * Refused:
 * - “This show is no longer there.”
 * - “Only ideas can go to another show; what is in work has its show’s steps. Leave those out, then try
 *   again.”
 */
export const editMany: Command<{ episodes: Id[]; edits: Edits }> = (
  records,
  { episodes, edits },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  if (edits.show !== undefined && !records.shows.has(edits.show))
    return refused('This show is no longer there.', 'episodes.show')
  if (edits.show !== undefined && found.some((e) => e.phase.kind !== 'idea' && e.show !== edits.show))
    return refused(
      'Only ideas can go to another show; what is in work has its show’s steps. Leave those out, then try again.',
      'episodes.show',
    )
  return changedAll(
    records,
    found,
    (e) => {
      const next = withIdea(e, {
        ...('standing' in edits && edits.standing ? { standing: edits.standing, restUntil: undefined } : {}),
        ...(edits.series === undefined ? {} : { series: edits.series }),
        ...('rating' in edits ? { rating: edits.rating } : {}),
        ...('meant' in edits ? { meant: edits.meant } : {}),
      })
      const topics = [...new Set([...e.topics, ...(edits.topics ?? [])])].filter(
        (t) => !edits.without?.includes(t),
      )
      return { ...next, topics, show: edits.show ?? e.show, nature: edits.nature ?? e.nature }
    },
    context,
    `Changed ${named(found)}`,
  )
}
