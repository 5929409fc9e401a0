import type { Day, Id, Keyword } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { sameWords } from './same-words'

/** One read row of an import. */
export interface KeywordRow {
  words: string
  searches?: number
  competing?: number
  notes: string
}

/**
 * Takes read rows in: words that are there get the new figures, others are added; all of it is one step of
 * undo. Refused without rows, or when the show is gone.
 *
 * Refused:
 * - “This show is no longer there. Choose another one.”
 * - “No row is left to take.”
 */
export const importKeywords: Command<{ show: Id; rows: KeywordRow[]; measured: Day }> = (
  records,
  { show, rows, measured },
  context,
) => {
  if (!records.shows.has(show))
    return refused('This show is no longer there. Choose another one.', 'keywords.show')
  if (rows.length === 0) return refused('No row is left to take.', 'keywords')
  const at = momentOf(context)
  const there = new Map(
    [...records.keywords.values()].filter((k) => k.show === show).map((k) => [sameWords(k.words), k]),
  )
  const next = new Map<string, Keyword>()
  let added = 0
  for (const { words, notes, ...figures } of rows) {
    const key = sameWords(words)
    const old = next.get(key) ?? there.get(key)
    if (!old) added++
    const dated = figures.searches === undefined && figures.competing === undefined ? {} : { measured }
    next.set(key, {
      ...(old ?? { id: context.id(), show, words: words.trim(), notes: '', createdAt: at }),
      ...figures,
      ...dated,
      notes: notes || (old?.notes ?? ''),
      updatedAt: at,
    })
  }
  return ok({
    changes: [...next.values()].map((k) => putRecord(records, 'keywords', k)),
    sentence: `Took in ${next.size} keywords, ${added} of them new`,
    about: [],
  })
}
