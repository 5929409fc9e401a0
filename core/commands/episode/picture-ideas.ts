import type { Episode, Id, PictureIdea } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/** The idea for the picture that the brief holds; nothing where it holds none. */
export function chosenPictureIdea({ brief }: Pick<Episode, 'brief'>): Omit<PictureIdea, 'id'> | undefined {
  const { pictureIdea: idea, pictureWords: words, pictureSketch: sketch } = brief
  return idea.trim() === '' && words.trim() === '' && !sketch
    ? undefined
    : { idea, words, ...(sketch ? { sketch } : {}) }
}

/**
 * Makes another idea for the picture the chosen one; the one that was chosen stands among the others.
 *
 * Refused:
 * - “This idea for the picture is no longer there.”
 */
export const choosePictureIdea: Command<{ episode: Id; idea: Id }> = (
  records,
  { episode: id, idea },
  context,
) => {
  const episode = records.episodes.get(id)
  const wanted = episode?.pictureIdeas?.find((p) => p.id === idea)
  if (!episode || !wanted) return refused('This idea for the picture is no longer there.', 'episodes')
  const before = chosenPictureIdea(episode)
  const { pictureSketch: _old, ...brief } = episode.brief
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        brief: {
          ...brief,
          pictureIdea: wanted.idea,
          pictureWords: wanted.words,
          ...(wanted.sketch ? { pictureSketch: wanted.sketch } : {}),
        },
        pictureIdeas: (episode.pictureIdeas ?? []).flatMap((p) =>
          p.id !== idea ? [p] : before ? [{ id: context.id(), ...before }] : [],
        ),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: 'Chose another idea for the picture',
    about: [id],
  })
}
