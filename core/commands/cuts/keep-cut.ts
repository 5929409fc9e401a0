import type { Cut, Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, removeRecord } from '../change'
import { nameOf, written } from './of-cut'

/**
 * Keeps what is known of a cut: how long it is, who made it, its file's name.
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
  return ok(written(records, { ...cut, ...to }, { sentence, merge: `cut ${id}` }, context))
}

/**
 * Takes the last cut of an episode away, with its notes.
 *
 * Refused:
 * - “This cut is no longer there.”
 * - “Another cut came after it. Take that away first.”
 */
export const removeCut: Command<{ cut: Id }> = (records, { cut: id }, _context) => {
  const cut = records.cuts.get(id)
  if (!cut) return refused('This cut is no longer there.', 'cuts')
  const later = [...records.cuts.values()].some((c) => c.episode === cut.episode && c.number > cut.number)
  if (later) return refused('Another cut came after it. Take that away first.', 'cuts')
  return ok({
    changes: [removeRecord(records, 'cuts', id)],
    sentence: `Took ${nameOf(records, cut)} away`,
    about: [cut.episode],
  })
}
