/** Where a note stands in its column, and the line from its words to it; pixels from the column's top. */
export interface PlacedNote {
  top: number
  /** Whether it had to stand lower than its words. */
  isMoved: boolean
  line: string | undefined
}

/** What was measured of a note: the height of the words it belongs to, where they end, and its own height. */
export interface MeasuredNote {
  id: string
  /** The line of its words: its top, its foot, and how far right the words reach. */
  words: { top: number; foot: number; right: number } | undefined
  height: number
}

const apart = 2

/**
 * Notes one below the other in the order of their words, each beside its own or as near below as there is room. The
 * line runs under the words to the edge of the column at `edge`, and from there to the note.
 */
export function stackedNotes(notes: readonly MeasuredNote[], edge: number): Map<string, PlacedNote> {
  const placed = new Map<string, PlacedNote>()
  let free = 0
  for (const { id, words, height } of notes) {
    const wanted = words?.top ?? free
    const top = Math.max(wanted, free)
    free = top + height + apart
    const isMoved = words !== undefined && top - wanted > 3
    const line = words && `M ${words.right} ${words.foot} H ${edge} L ${edge + 20} ${Math.round(top) + 12}`
    placed.set(id, { top: Math.round(top), isMoved, line })
  }
  return placed
}

/** Measures a document's cues and the notes in a column, and places them. */
export function placedNotes(
  cues: readonly { id: string; beat: string }[],
  root: HTMLElement,
  column: HTMLElement,
): Map<string, PlacedNote> {
  const from = column.getBoundingClientRect()
  const numbers = new Map<string, DOMRect>()
  for (const sign of root.querySelectorAll<HTMLElement>('.cue-end')) {
    const end = [...sign.getClientRects()].at(-1)
    if (end) numbers.set(sign.dataset['of'] ?? '', end)
  }
  const notes = new Map<string, number>()
  for (const note of column.querySelectorAll<HTMLElement>('[data-cue-note]'))
    notes.set(note.dataset['cueNote'] ?? '', note.offsetHeight)
  const beats = new Map<string, DOMRect>()
  const beatAt = (id: string) => {
    const known =
      beats.get(id) ?? root.querySelector(`[data-beat="${CSS.escape(id)}"]`)?.getBoundingClientRect()
    if (known) beats.set(id, known)
    return known
  }
  const measured = cues.map(({ id, beat }): MeasuredNote => {
    const height = notes.get(id) ?? 22
    const number = numbers.get(id)
    if (number) {
      const middle = (number.top + number.bottom) / 2 - from.top
      const words = { top: middle - 11, foot: middle + 12, right: Math.round(number.right - from.left) }
      return { id, words, height }
    }
    const whole = beatAt(beat)
    const words = whole && { top: whole.top - from.top + 2, foot: whole.top - from.top + 24, right: 0 }
    return { id, words, height }
  })
  return stackedNotes(measured, 0)
}
