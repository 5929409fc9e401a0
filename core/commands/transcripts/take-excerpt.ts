import { type Excerpt, Excerpt as ExcerptSchema, type Id } from '../../records'
import { ok, refused } from '../../result'
import { sayTime } from '../../script/timecode'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Takes a passage as an excerpt, or changes where a taken one begins and ends.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “An excerpt ends after it begins.”
 */
export const takeExcerpt: Command<{ episode: Id; excerpt: Excerpt }> = (
  records,
  { episode: id, excerpt },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const read = ExcerptSchema.safeParse(excerpt)
  if (!read.success) return refused('An excerpt ends after it begins.', 'episodes.excerpts')
  const others = (episode.excerpts ?? []).filter((e) => e.id !== excerpt.id)
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        excerpts: [...others, read.data].sort((a, b) => a.from - b.from),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Took ${sayTime(excerpt.from)} to ${sayTime(excerpt.to)} as an excerpt`,
    about: [id],
    merge: `excerpt ${id} ${excerpt.id}`,
  })
}

/**
 * Lets a taken excerpt go.
 *
 * Refused:
 * - “This excerpt is no longer there.”
 */
export const dropExcerpt: Command<{ episode: Id; excerpt: Id }> = (
  records,
  { episode: id, excerpt },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode?.excerpts?.some((e) => e.id === excerpt))
    return refused('This excerpt is no longer there.', 'episodes.excerpts')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        excerpts: episode.excerpts.filter((e) => e.id !== excerpt),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: 'Let an excerpt go',
    about: [id],
  })
}
