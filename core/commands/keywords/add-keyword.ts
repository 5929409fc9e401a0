import type { Id, Keyword } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { sameWords } from './same-words'

/**
 * Adds a keyword to a show. Refused when blank or there already, or when the show is gone.
 *
 * Refused:
 * - “This show is no longer there. Choose another one.”
 * - “Type the words that people search for.”
 * - ““…” is in the table already.”
 */
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
  return ok({
    changes: [putRecord(records, 'keywords', keyword)],
    sentence: `Added the keyword “${keyword.words}”`,
    about: [],
  })
}
