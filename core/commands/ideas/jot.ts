import type { Draft } from '../../formats/lines'
import type { Episode, Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, putRecord } from '../change'
import { codesOf, newIdea } from './new-idea'

/**
 * Keeps a line as an idea of a show, with topics where they are known. Refused when it is blank or longer
 * than a title can be.
 *
 * Refused:
 * - “There is nothing to keep yet. Type a line, then press Enter.”
 * - “This show is no longer there. Choose another one.”
 */
export const jotIdea: Command<{ show: Id; line: string; topics?: string[]; url?: string }> = (
  records,
  { show, line, topics = [], url },
  context,
) => {
  if (line.trim() === '')
    return refused('There is nothing to keep yet. Type a line, then press Enter.', 'episodes.title')
  if (!records.shows.has(show))
    return refused('This show is no longer there. Choose another one.', 'episodes.show')
  const idea = { ...newIdea(records, show, line, context), topics }
  const kept =
    url === undefined
      ? idea
      : { ...idea, idea: { ...idea.idea, sources: [{ id: context.id(), text: '', url }] } }
  return ok({
    changes: [putRecord(records, 'episodes', kept)],
    sentence: `Kept the idea “${idea.title}”`,
    about: [idea.id],
  })
}

/**
 * Keeps several ideas read from pasted text, in their order: the first ends up on top.
 *
 * Refused:
 * - “This show is no longer there. Choose another one.”
 * - “No line is left to keep.”
 */
export const jotIdeas: Command<{ show: Id; drafts: Draft[] }> = (records, { show, drafts }, context) => {
  if (!records.shows.has(show))
    return refused('This show is no longer there. Choose another one.', 'episodes.show')
  if (drafts.length === 0) return refused('No line is left to keep.', 'episodes.title')
  const taken = codesOf(records)
  const ideas = drafts.map((draft, i): Episode => {
    const idea = newIdea(records, show, draft.title, { ...context, now: context.now - i }, taken)
    return {
      ...idea,
      note: draft.note,
      topics: draft.topics,
      idea: { ...idea.idea, sources: draft.urls.map((url) => ({ id: context.id(), text: '', url })) },
    }
  })
  return ok({
    changes: ideas.map((e) => putRecord(records, 'episodes', e)),
    sentence: `Kept ${ideas.length} ideas`,
    about: ideas.map((e) => e.id),
  })
}
