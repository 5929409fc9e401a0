import type { Episode, Id, Picture } from '../records'
import { fine, refused } from '../result'
import { fitTags } from '../release/tags'
import { momentOf, putting, type Command, type FileRecord } from './change'

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
    | 'nature'
    | 'spare'
    | 'cut'
    | 'early'
    | 'priority'
  >
>

/**
 * Writes what was typed into an episode. `what` names it in the history (“the brief”); writing the same
 * again and again is one step of undo.
 */
export const writeEpisode: Command<{ episode: Id; typed: Typed; what: string }> = (
  records,
  { episode: id, typed, what },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  if (typed.title?.trim() === '')
    return refused('An episode needs a title. Type at least a word.', 'episodes.title')
  return fine({
    changes: [putting(records, 'episodes', { ...episode, ...typed, updatedAt: momentOf(context) })],
    sentence: `Changed ${what}`,
    about: [id],
    merge: `write ${id} ${what}`,
  })
}

/** Adds a title candidate; the first to come is not chosen by itself. Refused when blank or there already. */
export const addTitle: Command<{ episode: Id; text: string }> = (records, { episode: id, text }, context) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const clean = text.trim()
  if (clean === '') return refused('Type a title first.', 'episodes.titles')
  if (episode.titles.some((t) => t.text.trim().toLowerCase() === clean.toLowerCase()))
    return refused('This title is among the candidates already.', 'episodes.titles')
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...episode,
        titles: [...episode.titles, { id: context.id(), text: clean }],
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Added the title “${clean}”`,
    about: [id],
  })
}

/** Chooses one title candidate, or none. */
export const chooseTitle: Command<{ episode: Id; title: Id | undefined }> = (
  records,
  { episode: id, title },
  context,
) => {
  const episode = records.episodes.get(id)
  const text = episode?.titles.find((t) => t.id === title)?.text
  if (!episode || (title !== undefined && text === undefined))
    return refused('This title is no longer there.', 'episodes.titles')
  return fine({
    changes: [putting(records, 'episodes', { ...episode, chosenTitle: title, updatedAt: momentOf(context) })],
    sentence: text === undefined ? 'Took back the choice of title' : `Chose the title “${text}”`,
    about: [id],
  })
}

/** Drops the last tags until the rest fit under a limit in characters. */
export const dropTags: Command<{ episode: Id; limit: number }> = (
  records,
  { episode: id, limit },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const { kept, left } = fitTags(episode.tags, limit)
  return fine({
    changes: [putting(records, 'episodes', { ...episode, tags: kept, updatedAt: momentOf(context) })],
    sentence: `Dropped the last ${left.length} tags`,
    about: [id],
  })
}

/** Largest picture that is taken, in bytes. */
export const largestPicture = 20 * 1024 * 1024

/** Adds a picture with its bytes. Refused when it is larger than 20 MB. */
export const addPicture: Command<{ episode: Id; picture: Picture; file: FileRecord }> = (
  records,
  { episode: id, picture, file },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  if (file.bytes.byteLength > largestPicture)
    return refused(pictureTooLarge(picture.name, file.bytes.byteLength), 'episodes.pictures')
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...episode,
        pictures: [...episode.pictures, picture],
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Added the picture “${picture.name}”`,
    about: [id],
    files: [file],
  })
}

/** What is said of a picture that is too large. */
export function pictureTooLarge(name: string, bytes: number): string {
  return `“${name}” has ${Math.round(bytes / 1048576)} MB; at most 20 MB are taken. Save it smaller, 1280 × 720 is enough, and add it again.`
}

/** Takes a picture away (its bytes stay until nothing can bring it back). */
export const removePicture: Command<{ episode: Id; picture: Id }> = (
  records,
  { episode: id, picture },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const chosen = episode.chosenPicture === picture ? undefined : episode.chosenPicture
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...episode,
        pictures: episode.pictures.filter((p) => p.id !== picture),
        chosenPicture: chosen,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: 'Took a picture away',
    about: [id],
  })
}

/** Chooses the picture that sells the episode, or none. */
export const choosePicture: Command<{ episode: Id; picture: Id | undefined }> = (
  records,
  { episode: id, picture },
  context,
) => {
  const episode = records.episodes.get(id)
  const found = episode?.pictures.find((p) => p.id === picture)
  if (!episode || (picture !== undefined && !found))
    return refused('This picture is no longer there.', 'episodes.pictures')
  return fine({
    changes: [
      putting(records, 'episodes', { ...episode, chosenPicture: picture, updatedAt: momentOf(context) }),
    ],
    sentence: found ? `Chose the picture “${found.name}”` : 'Took back the choice of picture',
    about: [id],
  })
}
