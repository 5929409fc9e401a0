import type { Id, Keyword } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { todayOf } from '../step-of'

type Figures = Partial<Pick<Keyword, 'words' | 'searches' | 'competing' | 'measured' | 'notes'>>

/**
 * Changes a keyword's words, figures or notes; new figures are dated today.
 *
 * Refused:
 * - “This keyword is no longer there.”
 */
export const editKeyword: Command<{ keyword: Id; fields: Figures }> = (
  records,
  { keyword: id, fields },
  context,
) => {
  const keyword = records.keywords.get(id)
  if (!keyword) return refused('This keyword is no longer there.', 'keywords')
  const dated = 'searches' in fields || 'competing' in fields ? { measured: todayOf(records, context) } : {}
  const next = { ...keyword, ...dated, ...fields, updatedAt: momentOf(context) }
  return ok({
    changes: [putRecord(records, 'keywords', next)],
    sentence: `Changed the keyword “${next.words}”`,
    about: [],
    merge: `keyword ${id} ${Object.keys(fields).join()}`,
  })
}
