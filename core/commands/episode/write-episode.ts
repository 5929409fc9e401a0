import type { Episode, Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, type FileRecord, momentOf, putRecord } from '../change'

/** The fields of an episode that people type. */
export type Typed = Partial<
  Pick<
    Episode,
    | 'title'
    | 'note'
    | 'brief'
    | 'titles'
    | 'chosenTitle'
    | 'tags'
    | 'topics'
    | 'links'
    | 'guests'
    | 'sponsor'
    | 'read'
    | 'nature'
    | 'spare'
    | 'cut'
    | 'early'
    | 'priority'
    | 'pictureIdeas'
    | 'clips'
    | 'season'
    | 'explicit'
    | 'safe'
    | 'lookedBack'
    | 'income'
  >
>

/**
 * Writes what was typed into an episode, with the bytes of files that it names. `what` names it in the history (“the brief”); writing the same
 * again and again is one step of undo.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “An episode needs a title. Type at least a word.”
 */
export const writeEpisode: Command<{ episode: Id; typed: Typed; what: string; files?: FileRecord[] }> = (
  records,
  { episode: id, typed, what, files },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  if (typed.title?.trim() === '')
    return refused('An episode needs a title. Type at least a word.', 'episodes.title')
  return ok({
    changes: [putRecord(records, 'episodes', { ...episode, ...typed, updatedAt: momentOf(context) })],
    sentence: `Changed ${what}`,
    about: [id],
    merge: `write ${id} ${what}`,
    ...(files ? { files } : {}),
  })
}
