import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/**
 * Takes a keyword away, also from the episodes that carry it.
 *
 * Refused:
 * - “This keyword is no longer there.”
 */
export const removeKeyword: Command<{ keyword: Id }> = (records, { keyword: id }, context) => {
  const keyword = records.keywords.get(id)
  if (!keyword) return refused('This keyword is no longer there.', 'keywords')
  const carrying = [...records.episodes.values()].filter((e) => e.idea.keywords.includes(id))
  return ok({
    changes: [
      removeRecord(records, 'keywords', id),
      ...carrying.map((e) =>
        putRecord(records, 'episodes', {
          ...e,
          idea: { ...e.idea, keywords: e.idea.keywords.filter((k) => k !== id) },
          updatedAt: momentOf(context),
        }),
      ),
    ],
    sentence: `Removed the keyword “${keyword.words}”`,
    about: [],
  })
}
