import type { CutNote, FrameRate } from '../records'
import { readMoment } from './frames'

/** What is read of a note. */
export type ReadNote = Pick<CutNote, 'at' | 'kind' | 'text'> & { isDone?: boolean }

/** Lines that could not be read, each with its number and how to mend it. */
export interface LineFault {
  line: number
  sentence: string
}

const time = String.raw`\d+(?::\d+)+(?:[:;.]\d+)?|\d+\s*h\s*\d*(?:\s*m)?\d*|\d+\s*m\s*\d*\s*s?`
/** A time at the line's begin, alone or in brackets, with a dash, a colon or a space behind it. */
const timed = new RegExp(
  String.raw`^\s*[-*•]?\s*[([]?(${time})[)\]]?\s*(?:[-–—:,]\s+|\s|(?=[[!])|$)(.*)$`,
  'i',
)
const mark = /^\s*(?:\[\s*([xX✓]?)\s*\]|(!))\s*(.*)$/

/** What words say of themselves: `!` or `[ ]` before them makes them something to do, `[x]` something that is done. */
export function readWords(words: string): Omit<ReadNote, 'at'> {
  const [, ticked, bang, text = ''] = mark.exec(words) ?? []
  if (ticked === undefined && bang === undefined) return { kind: 'remark', text: words.trim() }
  return { kind: 'to do', text: text.trim(), ...(ticked ? { isDone: true } : {}) }
}

/**
 * Reads lines into notes: a time, then `!` or `[ ]` for something to do, then words. A line without a time belongs to
 * the moment of the one before, or to `from`. Lines that hold nothing are passed over.
 */
export function readNotes(
  text: string,
  rate: FrameRate,
  from = 0,
): { notes: ReadNote[]; faults: LineFault[] } {
  const notes: ReadNote[] = []
  const faults: LineFault[] = []
  let at = from
  text.split(/\r\n|\r|\n/).forEach((line, i) => {
    if (line.trim() === '') return
    // A list to tick has its boxes before the times.
    const [, box = '', behind = line] = /^\s*[-*•]?\s*(\[\s*[xX✓]?\s*\]|!)\s*(\d.*)$/.exec(line) ?? []
    const [, moment, words = ''] = timed.exec(behind) ?? []
    const rest = box === '' ? words : `${box} ${words}`
    if (moment !== undefined) {
      const read = readMoment(moment, rate)
      if (!read.ok) {
        faults.push({ line: i + 1, sentence: read.problem.sentence })
        return
      }
      at = read.value
    }
    const said = readWords(moment === undefined ? line.replace(/^\s*[-*•]\s+/, '') : rest)
    if (said.text === '')
      faults.push({
        line: i + 1,
        sentence: 'It has a time and no words. Write what is to be noted behind it.',
      })
    else notes.push({ at, ...said })
  })
  return { notes, faults }
}
