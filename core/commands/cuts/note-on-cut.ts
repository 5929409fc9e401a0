import { ascending } from 'd3-array'
import type { CutNote, Id } from '../../records'
import { ok, refused } from '../../result'
import type { ReadNote } from '../../edit/notes'
import { type Command, momentOf } from '../change'
import { nameOf, openCut, written } from './of-cut'

/**
 * Notes something at moments of a cut: one that was typed, or as many as were read from elsewhere. What is there already
 * word for word at its moment is not noted twice.
 *
 * Refused:
 * - “This cut is no longer there.”
 * - “The round of this cut is closed. Open it again first.”
 * - “There is nothing new to note.”
 */
export const noteOnCut: Command<{
  cut: Id
  notes: readonly (ReadNote & { mine?: boolean })[]
  by?: string
}> = (records, { cut: id, notes, by }, context) => {
  const cut = openCut(records, id)
  if (!cut.ok) return cut
  const at = momentOf(context)
  const isThere = (n: ReadNote, among: readonly CutNote[]) =>
    among.some((o) => o.text === n.text.trim() && Math.abs(o.at - n.at) < 0.02 && o.kind === n.kind)
  const all = notes.reduce<CutNote[]>((before, n) => {
    if (isThere(n, before)) return before
    const note = {
      id: context.id(),
      at: n.at,
      kind: n.kind,
      text: n.text,
      ...(by === undefined ? {} : { by }),
      ...(n.mine && n.kind === 'to do' ? { mine: true } : {}),
      ...(n.isDone ? { done: at } : {}),
      asked: [cut.value.number],
      noted: at,
    }
    return [...before, note]
  }, cut.value.notes)
  const added = all.length - cut.value.notes.length
  if (added === 0) return refused('There is nothing new to note.', 'cuts.notes')
  const sorted = all.toSorted((a, b) => ascending(a.at, b.at))
  const sentence = `Noted ${added === 1 ? `“${all.at(-1)?.text ?? ''}”` : `${added} things`} on ${nameOf(records, cut.value)}`
  return ok(written(records, { ...cut.value, notes: sorted }, { sentence }, context))
}

/**
 * Changes a note: its words, its moment, whether it is something to do, for whom, and whether it is done.
 *
 * Refused:
 * - “This cut is no longer there.”
 * - “The round of this cut is closed. Open it again first.”
 * - “This note is no longer there.”
 */
export const changeNote: Command<{
  cut: Id
  note: Id
  to: Partial<Pick<CutNote, 'at' | 'kind' | 'text' | 'mine'>> & { isDone?: boolean }
}> = (records, { cut: id, note: noteId, to: { isDone, ...to } }, context) => {
  const cut = openCut(records, id)
  if (!cut.ok) return cut
  const note = cut.value.notes.find((n) => n.id === noteId)
  if (!note) return refused('This note is no longer there.', 'cuts.notes')
  const { done, ...rest } = { ...note, ...to }
  const when = isDone === undefined ? done : isDone ? (done ?? momentOf(context)) : undefined
  const after: CutNote = {
    ...rest,
    // A remark is nobody's to do.
    ...(rest.kind === 'remark' || when === undefined ? {} : { done: when }),
  }
  const notes = cut.value.notes
    .map((n) => (n.id === noteId ? after : n))
    .toSorted((a, b) => ascending(a.at, b.at))
  const sentence =
    isDone === undefined ? `Changed “${after.text}”` : `${isDone ? 'Ticked' : 'Opened'} “${after.text}”`
  return ok(
    written(
      records,
      { ...cut.value, notes },
      { sentence, ...(isDone === undefined ? { merge: `note ${noteId}` } : {}) },
      context,
    ),
  )
}

/**
 * Takes a note away.
 *
 * Refused:
 * - “This cut is no longer there.”
 * - “The round of this cut is closed. Open it again first.”
 * - “This note is no longer there.”
 */
export const removeNote: Command<{ cut: Id; note: Id }> = (records, { cut: id, note: noteId }, context) => {
  const cut = openCut(records, id)
  if (!cut.ok) return cut
  const note = cut.value.notes.find((n) => n.id === noteId)
  if (!note) return refused('This note is no longer there.', 'cuts.notes')
  const notes = cut.value.notes.filter((n) => n !== note)
  return ok(written(records, { ...cut.value, notes }, { sentence: `Removed “${note.text}”` }, context))
}
