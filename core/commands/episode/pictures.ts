import type { Candidate, Episode, Id, Picture } from '../../records'
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
        runnerUp: episode.runnerUp === picture ? undefined : episode.runnerUp,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: 'Took a picture away',
    about: [id],
  })
}

/** Pictures of an episode that were tried and are neither the one that went out nor its runner-up. */
export function sparePictures({ pictures, chosenPicture, runnerUp }: Episode): Candidate[] {
  return pictures.filter((p) => p.id !== chosenPicture && p.id !== runnerUp)
}

/**
 * Lets the pictures of an episode go that were not taken, to free their room.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “All its pictures are in use.”
 */
export const freePictures: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const spare = sparePictures(episode)
  if (spare.length === 0) return refused('All its pictures are in use.', 'episodes.pictures')
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        pictures: episode.pictures.filter((p) => !spare.includes(p)),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: spare.length === 1 ? 'Let a picture go' : `Let ${spare.length} pictures go`,
    about: [id],
  })
}

/**
 * Chooses the picture that sells the episode, or none. One that was chosen before becomes the runner-up; one that was
 * refused is so no longer.
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
  const before = episode.chosenPicture
  const runnerUp = found && before !== undefined && before !== picture ? before : episode.runnerUp
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        pictures: episode.pictures.map((p) => (p.id === picture && p.refused !== undefined ? taken(p) : p)),
        chosenPicture: picture,
        runnerUp: runnerUp === picture ? undefined : runnerUp,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: found ? `Chose the picture “${found.name}”` : 'Took back the choice of picture',
    about: [id],
  })
}

function taken({ refused: _reason, ...picture }: Candidate): Candidate {
  return picture
}
