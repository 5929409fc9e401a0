import type { Id, Picture } from '../../records'
import { ok, refused } from '../../result'
import { type Command, type FileRecord, momentOf, putRecord } from '../change'
import { largestPicture, pictureTooLarge } from './picture-size'

/**
 * Adds a picture with its bytes. Refused when it is larger than 20 MB.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const addPicture: Command<{ episode: Id; picture: Picture; file: FileRecord }> = (
  records,
  { episode: id, picture, file },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  if (file.bytes.byteLength > largestPicture)
    return refused(pictureTooLarge(picture.name, file.bytes.byteLength), 'episodes.pictures')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
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

/**
 * Takes a picture away (its bytes stay until nothing can bring it back).
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const removePicture: Command<{ episode: Id; picture: Id }> = (
  records,
  { episode: id, picture },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const chosen = episode.chosenPicture === picture ? undefined : episode.chosenPicture
  return ok({
    changes: [
      putRecord(records, 'episodes', {
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

/**
 * Chooses the picture that sells the episode, or none.
 *
 * Refused:
 * - “This picture is no longer there.”
 */
export const choosePicture: Command<{ episode: Id; picture: Id | undefined }> = (
  records,
  { episode: id, picture },
  context,
) => {
  const episode = records.episodes.get(id)
  const found = episode?.pictures.find((p) => p.id === picture)
  if (!episode || (picture !== undefined && !found))
    return refused('This picture is no longer there.', 'episodes.pictures')
  return ok({
    changes: [
      putRecord(records, 'episodes', { ...episode, chosenPicture: picture, updatedAt: momentOf(context) }),
    ],
    sentence: found ? `Chose the picture “${found.name}”` : 'Took back the choice of picture',
    about: [id],
  })
}
