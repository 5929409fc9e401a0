import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Adds a title candidate; the first to come is not chosen by itself. Refused when blank or there already.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “Type a title first.”
 * - “This title is among the candidates already.”
 */
export const addTitle: Command<{ episode: Id; text: string }> = (records, { episode: id, text }, context) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const clean = text.trim()
  if (clean === '') return refused('Type a title first.', 'episodes.titles')
  if (episode.titles.some((t) => t.text.trim().toLowerCase() === clean.toLowerCase()))
    return refused('This title is among the candidates already.', 'episodes.titles')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        titles: [...episode.titles, { id: context.id(), text: clean }],
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Added the title “${clean}”`,
    about: [id],
  })
}

/**
 * Chooses one title candidate, or none.
 *
 * Refused:
 * - “This title is no longer there.”
 */
export const chooseTitle: Command<{ episode: Id; title: Id | undefined }> = (
  records,
  { episode: id, title },
  context,
) => {
  const episode = records.episodes.get(id)
  const text = episode?.titles.find((t) => t.id === title)?.text
  if (!episode || (title !== undefined && text === undefined))
    return refused('This title is no longer there.', 'episodes.titles')
  return ok({
    changes: [
      putRecord(records, 'episodes', { ...episode, chosenTitle: title, updatedAt: momentOf(context) }),
    ],
    sentence: text === undefined ? 'Took back the choice of title' : `Chose the title “${text}”`,
    about: [id],
  })
}
