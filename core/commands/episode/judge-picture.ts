import type { Episode, Id, PictureWords, Candidate } from '../../records'
import { ok, refused, type Result } from '../../result'
import { type Command, type FileRecord, momentOf, type Outcome, putRecord } from '../change'
import { largestPicture, pictureTooLarge } from './picture-size'

const gone = 'This picture is no longer there.'

/**
 * Puts a picture made anew in the place of the one it was made from, or among the candidates; what it was made of is kept
 * beside it, and the words laid over it are known. The choice stays with its place.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “… has … MB; at most 20 MB are taken. …” where a file is too large
 */
export const makePicture: Command<{
  episode: Id
  picture: Candidate
  /** The picture's bytes, and those of what it is made of where they are not kept yet. */
  files: readonly FileRecord[]
  /** The candidate in whose place it comes. */
  instead?: Id
}> = (records, { episode: id, picture, files, instead }, context) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const large = files.find((f) => f.bytes.byteLength > largestPicture)
  if (large) return refused(pictureTooLarge(picture.name, large.bytes.byteLength), 'episodes.pictures')
  const replaces = episode.pictures.some((p) => p.id === instead)
  const now = (picked: Id | undefined) => (picked !== undefined && picked === instead ? picture.id : picked)
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        pictures: replaces
          ? episode.pictures.map((p) => (p.id === instead ? picture : p))
          : [...episode.pictures, picture],
        chosenPicture: now(episode.chosenPicture),
        runnerUp: now(episode.runnerUp),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: replaces ? `Changed the picture “${picture.name}”` : `Made the picture “${picture.name}”`,
    about: [id],
    files: [...files],
  })
}

/**
 * Says which words stand where in a finished picture; an empty list says that it has none, nothing that it isn't known.
 *
 * Refused:
 * - “This picture is no longer there.”
 */
export const nameWords: Command<{ episode: Id; picture: Id; words: readonly PictureWords[] | undefined }> = (
  records,
  { episode: id, picture, words },
  context,
) => {
  const episode = records.episodes.get(id)
  const found = episode?.pictures.find((p) => p.id === picture)
  if (!episode || !found) return refused(gone, 'episodes.pictures')
  const { words: _before, ...rest } = found
  return changed(
    { ...episode, pictures: replaced(episode, words === undefined ? rest : { ...rest, words: [...words] }) },
    words && words.length > 0
      ? `Said where the words of “${found.name}” are`
      : `“${found.name}” has no words`,
    [records, context],
  )
}

/**
 * Refuses a candidate with a reason, or takes that back (no reason). What was chosen or runner-up is so no longer.
 *
 * Refused:
 * - “This picture is no longer there.”
 * - “Say in a few words why it is not taken.” where the reason is blank
 */
export const refusePicture: Command<{ episode: Id; picture: Id; reason: string | undefined }> = (
  records,
  { episode: id, picture, reason },
  context,
) => {
  const episode = records.episodes.get(id)
  const found = episode?.pictures.find((p) => p.id === picture)
  if (!episode || !found) return refused(gone, 'episodes.pictures')
  if (reason?.trim() === '') return refused('Say in a few words why it is not taken.', 'episodes.pictures')
  const { refused: _before, ...rest } = found
  const isOut = (picked: Id | undefined) => (reason !== undefined && picked === picture ? undefined : picked)
  return changed(
    {
      ...episode,
      pictures: replaced(episode, reason === undefined ? rest : { ...rest, refused: reason.trim() }),
      chosenPicture: isOut(episode.chosenPicture),
      runnerUp: isOut(episode.runnerUp),
    },
    reason === undefined ? `“${found.name}” is a candidate again` : `Refused the picture “${found.name}”`,
    [records, context],
  )
}

/**
 * Keeps a candidate as the runner-up, offered where the episode runs below its usual; or none.
 *
 * Refused:
 * - “This picture is no longer there.”
 * - “This picture is the chosen one. Choose another first, then keep this one.”
 */
export const keepRunnerUp: Command<{ episode: Id; picture: Id | undefined }> = (
  records,
  { episode: id, picture },
  context,
) => {
  const episode = records.episodes.get(id)
  const found = episode?.pictures.find((p) => p.id === picture)
  if (!episode || (picture !== undefined && !found)) return refused(gone, 'episodes.pictures')
  if (found && found.id === episode.chosenPicture)
    return refused(
      'This picture is the chosen one. Choose another first, then keep this one.',
      'episodes.pictures',
    )
  return changed(
    { ...episode, runnerUp: picture },
    found ? `Kept “${found.name}” as the runner-up` : 'No picture is kept as the runner-up',
    [records, context],
  )
}

/**
 * Changes the picture of an episode that is out for its runner-up; the one that was chosen becomes the runner-up. Not
 * proposed again.
 *
 * Refused:
 * - “This episode has no runner-up to change to.”
 */
export const swapPicture: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  const instead = episode?.pictures.find((p) => p.id === episode.runnerUp)
  if (!episode || !instead) return refused('This episode has no runner-up to change to.', 'episodes.pictures')
  return changed(
    {
      ...episode,
      chosenPicture: instead.id,
      runnerUp: episode.chosenPicture,
      swapped: momentOf(context),
    },
    `Changed the picture for “${instead.name}”`,
    [records, context],
  )
}

/**
 * Lets a picture stay though its episode runs below its usual: the swap is not proposed again.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const letPictureStay: Command<{ episode: Id }> = (records, { episode: id }, context) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  return changed({ ...episode, swapped: momentOf(context) }, 'Let its picture stay', [records, context])
}

function replaced(episode: Episode, picture: Candidate): Candidate[] {
  return episode.pictures.map((p) => (p.id === picture.id ? picture : p))
}

function changed(
  after: Episode,
  sentence: string,
  [records, context]: [Parameters<Command<unknown>>[0], Parameters<Command<unknown>>[2]],
): Result<Outcome> {
  return ok({
    changes: [putRecord(records, 'episodes', { ...after, updatedAt: momentOf(context) })],
    sentence,
    about: [after.id],
  })
}
