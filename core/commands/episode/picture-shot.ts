import type { Id, KeptImage } from '../../records'
import { ok, refused } from '../../result'
import { type Command, type FileRecord, momentOf, putRecord } from '../change'
import { largestPicture, pictureTooLarge } from './picture-size'
import { planShots } from './plan-shot'

/** A picture that comes with its bytes, one that is kept with the episode already, or none. */
export type ShotPicture =
  { kind: 'new'; image: KeptImage; file: FileRecord } | { kind: 'kept'; id: Id } | { kind: 'none' }

/**
 * Gives a shot its picture or sketch: a new one is kept with the episode’s images for filming; one that is taken off
 * stays there.
 *
 * Refused:
 * - “This shot is no longer there; another change has taken it away.”
 * - “This picture is no longer kept with the episode. Add it again.”
 * - “‘name’ has 24 MB; at most 20 MB are taken. Save it smaller, 1280 × 720 is enough, and add it again.”
 */
export const pictureShot: Command<{ episode: Id; shot: Id; picture: ShotPicture }> = (
  records,
  { episode: id, shot, picture },
  context,
) => {
  const to = picture.kind === 'none' ? undefined : picture.kind === 'new' ? picture.image.id : picture.id
  const planned = planShots(records, { episode: id, shots: [shot], to: { picture: to } }, context)
  const episode = records.episodes.get(id)
  if (!planned.ok || !episode) return planned
  const sentence = to === undefined ? 'Took the picture off a shot' : 'Gave a shot its picture'
  const { merge: _merge, ...outcome } = planned.value
  if (picture.kind === 'kept' && !episode.idea.images.some((i) => i.id === picture.id))
    return refused('This picture is no longer kept with the episode. Add it again.', 'episodes.idea.images')
  if (picture.kind !== 'new') return ok({ ...outcome, sentence })
  if (picture.file.bytes.byteLength > largestPicture)
    return refused(pictureTooLarge(picture.image.name, picture.file.bytes.byteLength), 'episodes.idea.images')
  const images = [...episode.idea.images, { ...picture.image, stage: 'film' as const }]
  const next = { ...episode, idea: { ...episode.idea, images }, updatedAt: momentOf(context) }
  return ok({
    ...outcome,
    changes: [putRecord(records, 'episodes', next), ...outcome.changes],
    files: [picture.file],
    sentence,
  })
}
