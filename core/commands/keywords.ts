import type { Day, Id, Keyword } from '../records'
import { fine, refused } from '../result'
import { momentOf, putting, removing, type Command } from './change'

/** A keyword's words as they are compared: lower case, single spaces. */
export function sameWords(words: string): string {
  return words.trim().toLowerCase().replace(/\s+/g, ' ')
}

type Figures = Partial<Pick<Keyword, 'words' | 'searches' | 'competing' | 'measured' | 'notes'>>

/** Adds a keyword to a show. Refused when blank or there already, or when the show is gone. */
export const addKeyword: Command<{ show: Id; words: string }> = (records, { show, words }, context) => {
  if (!records.shows.has(show))
    return refused('This show is no longer there. Choose another one.', 'keywords.show')
  if (words.trim() === '') return refused('Type the words that people search for.', 'keywords.words')
  if ([...records.keywords.values()].some((k) => k.show === show && sameWords(k.words) === sameWords(words)))
    return refused(`“${words.trim()}” is in the table already.`, 'keywords.words')
  const at = momentOf(context)
  const keyword: Keyword = {
    id: context.id(),
    show,
    words: words.trim(),
    notes: '',
    createdAt: at,
    updatedAt: at,
  }
  return fine({
    changes: [putting(records, 'keywords', keyword)],
    sentence: `Added the keyword “${keyword.words}”`,
    about: [],
  })
}

/** Changes a keyword's words, figures or notes; new figures are dated `today`. */
export const editKeyword: Command<{ keyword: Id; fields: Figures; today: Day }> = (
  records,
  { keyword: id, fields, today },
  context,
) => {
  const keyword = records.keywords.get(id)
  if (!keyword) return refused('This keyword is no longer there.', 'keywords')
  const dated = 'searches' in fields || 'competing' in fields ? { measured: today } : {}
  const next = { ...keyword, ...dated, ...fields, updatedAt: momentOf(context) }
  return fine({
    changes: [putting(records, 'keywords', next)],
    sentence: `Changed the keyword “${next.words}”`,
    about: [],
    merge: `keyword ${id} ${Object.keys(fields).join()}`,
  })
}

/** Takes a keyword away, also from the episodes that carry it. */
export const removeKeyword: Command<{ keyword: Id }> = (records, { keyword: id }, context) => {
  const keyword = records.keywords.get(id)
  if (!keyword) return refused('This keyword is no longer there.', 'keywords')
  const carrying = [...records.episodes.values()].filter((e) => e.idea.keywords.includes(id))
  return fine({
    changes: [
      removing(records, 'keywords', id),
      ...carrying.map((e) =>
        putting(records, 'episodes', {
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
  return fine({
    changes: [...next.values()].map((k) => putting(records, 'keywords', k)),
    sentence: `Took in ${next.size} keywords, ${added} of them new`,
    about: [],
  })
}
