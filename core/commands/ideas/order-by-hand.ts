import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { withIdea } from './with-idea'

/**
 * Gives episodes the order in which they are named, made by hand; those that are no longer there are passed
 * over.
 *
 * Refused:
 * - “None of these is there any more.”
 */
export const orderByHand: Command<{ episodes: Id[] }> = (records, { episodes }, context) => {
  const row = [...new Set(episodes)].flatMap((id) => records.episodes.get(id) ?? [])
  if (row.length === 0) return refused('None of these is there any more.', 'episodes')
  return ok({
    changes: row.map((e, i) =>
      putRecord(records, 'episodes', {
        ...withIdea(e, { rank: i * 1000 }),
        updatedAt: momentOf(context),
      }),
    ),
    sentence: 'Changed the order',
    about: [],
    merge: 'order by hand',
  })
}
