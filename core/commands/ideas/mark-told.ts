import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { withIdea } from './with-idea'

/**
 * Notes that those who wanted to know have been told that it is out.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const markTold: Command<{ episode: Id; asked: Id[] }> = (records, { episode: id, asked }, context) => {
  const e = records.episodes.get(id)
  if (!e) return refused('This episode is no longer there.', 'episodes')
  return ok({
    changes: [
      putRecord(
        records,
        'episodes',
        withIdea(e, {
          asked: e.idea.asked.map((a) => (asked.includes(a.id) ? { ...a, told: momentOf(context) } : a)),
        }),
      ),
    ],
    sentence: `Told ${asked.length === 1 ? 'one' : asked.length} who asked for “${e.title}”`,
    about: [id],
  })
}
