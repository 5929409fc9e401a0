import type { Cut, Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'
import { lookId } from '../../edit/rounds'
import { lookMinutes } from './helper-round'
import { nameOf, roundId, written } from './of-cut'

/**
 * Keeps what is known of a cut: how long it is, who made it, its file's name. The length of the one that was approved is
 * the edit's, unless another was typed since.
 *
 * Refused:
 * - “This cut is no longer there.”
 */
export const keepCut: Command<{ cut: Id; to: Partial<Pick<Cut, 'length' | 'from' | 'file'>> }> = (
  records,
  { cut: id, to },
  context,
) => {
  const cut = records.cuts.get(id)
  if (!cut) return refused('This cut is no longer there.', 'cuts')
  const sentence = `Changed what is known of ${nameOf(records, cut)}`
  const only = written(records, { ...cut, ...to }, { sentence, merge: `cut ${id}` }, context)
  const look = records.steps.get(lookId(cut.episode, cut.number))
  const minutes = lookMinutes(records, { ...cut, ...to })
  const isLonger = to.length !== undefined && look?.doneAt === undefined && look?.minutes !== minutes
  const kept =
    look && isLonger
      ? {
          ...only,
          changes: [
            ...only.changes,
            putRecord(records, 'steps', { ...look, minutes, updatedAt: momentOf(context) }),
          ],
        }
      : only
  const episode = records.episodes.get(cut.episode)
  const isOfEdit =
    cut.closed?.kind === 'approved' &&
    (episode?.cut.length === undefined || episode.cut.length === Math.round(cut.length ?? -1))
  if (!episode || !isOfEdit || to.length === undefined) return ok(kept)
  const timing = { ...episode.cut, length: Math.round(to.length) }
  const next = { ...episode, cut: timing, updatedAt: momentOf(context) }
  return ok({ ...kept, changes: [...kept.changes, putRecord(records, 'episodes', next)] })
}

/**
 * Takes the last cut of an episode away, with its notes; the step by which it was made is to do again.
 *
 * Refused:
 * - “This cut is no longer there.”
 * - “Another cut came after it. Take that away first.”
 */
export const removeCut: Command<{ cut: Id }> = (records, { cut: id }, context) => {
  const cut = records.cuts.get(id)
  if (!cut) return refused('This cut is no longer there.', 'cuts')
  const later = [...records.cuts.values()].some((c) => c.episode === cut.episode && c.number > cut.number)
  if (later) return refused('Another cut came after it. Take that away first.', 'cuts')
  const round = records.steps.get(roundId(cut.episode, cut.number))
  const again =
    round?.doneAt === undefined
      ? []
      : [putRecord(records, 'steps', { ...round, doneAt: undefined, updatedAt: momentOf(context) })]
  return ok({
    changes: [removeRecord(records, 'cuts', id), ...again],
    sentence: `Took ${nameOf(records, cut)} away`,
    about: [cut.episode],
  })
}
