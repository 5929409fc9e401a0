import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { withChanges, merged, type Command, type Outcome } from '../change'
import { jotIdea } from '../ideas/jot'
import { writeIdea } from '../ideas/write-idea'
import { addKeyword } from './add-keyword'
import { sameWords } from './same-words'

const nothing: Pick<Outcome, 'changes'> = { changes: [] }

/**
 * Says that an idea is for some words that people search for; words that are new join its show's table. One step.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “It is for “…” already.”
 * - and what `addKeyword`, `writeIdea` refuse
 */
export const giveKeyword: Command<{ episode: Id; words: string }> = (
  records,
  { episode: id, words },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const find = (all: typeof records) =>
    [...all.keywords.values()].find((k) => k.show === episode.show && sameWords(k.words) === sameWords(words))
  const added = find(records) ? ok(nothing) : addKeyword(records, { show: episode.show, words }, context)
  if (!added.ok) return added
  const next = withChanges(records, added.value.changes)
  const keyword = find(next)
  if (!keyword || episode.idea.keywords.includes(keyword.id))
    return refused(`It is for “${words.trim()}” already.`, 'episodes.idea.keywords')
  const typed = { keywords: [...episode.idea.keywords, keyword.id] }
  const written = writeIdea(next, { episode: id, typed, what: 'the keywords' }, context)
  if (!written.ok) return written
  return ok({
    changes: merged(added.value.changes, written.value.changes),
    sentence: `For the keyword “${keyword.words}”`,
    about: [id],
  })
}

/**
 * Jots an idea for a keyword, with its words as the first title. One step.
 *
 * Refused:
 * - “This keyword is no longer there.”
 * - and what `jotIdea`, `writeIdea` refuse
 */
export const jotForKeyword: Command<{ keyword: Id }> = (records, { keyword: id }, context) => {
  const keyword = records.keywords.get(id)
  if (!keyword) return refused('This keyword is no longer there.', 'keywords')
  const line = keyword.words.charAt(0).toUpperCase() + keyword.words.slice(1)
  const jotted = jotIdea(records, { show: keyword.show, line }, context)
  if (!jotted.ok) return jotted
  const [made = ''] = jotted.value.about
  const wish = { episode: made, typed: { keywords: [id] }, what: 'the keywords' }
  const written = writeIdea(withChanges(records, jotted.value.changes), wish, context)
  if (!written.ok) return written
  return ok({ ...jotted.value, changes: merged(jotted.value.changes, written.value.changes) })
}
