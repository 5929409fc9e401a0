import type { Id, Idea } from '../../records'
import { ok, refused } from '../../result'
import { type Command, type FileRecord, momentOf, putRecord } from '../change'
import { withIdea } from './with-idea'

/**
 * Writes what was typed on an idea's own page; writing the same again and again is one step of undo.
 *
 * Refused:
 * - “This idea is no longer there.”
 */
export const writeIdea: Command<{ episode: Id; typed: Partial<Idea>; what: string; files?: FileRecord[] }> = (
  records,
  { episode: id, typed, what, files },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This idea is no longer there.', 'episodes')
  return ok({
    changes: [putRecord(records, 'episodes', { ...withIdea(episode, typed), updatedAt: momentOf(context) })],
    sentence: `Changed ${what}`,
    about: [id],
    merge: `idea ${id} ${what}`,
    ...(files ? { files } : {}),
  })
}
