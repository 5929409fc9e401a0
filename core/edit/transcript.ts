import type { Caption, Script, Timing } from '../records'
import { sayTime } from '../script/timecode'
import type { SpeechPace } from '../script/timing'
import { beatTimes } from './times'

/** Longest line, letters; most lines at once; most letters a second that are read with ease. */
export const captionLimits = { line: 42, lines: 2, perSecond: 20, gap: 8 } as const

/** Words on lines of at most so many letters; a longer word stands alone. */
export function wrapped(text: string, most: number = captionLimits.line): string[] {
  const lines: string[] = []
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1)
    if (last !== undefined && last.length + 1 + word.length <= most)
      lines[lines.length - 1] = `${last} ${word}`
    else lines.push(word)
  }
  return lines
}

let sentences: Intl.Segmenter | undefined

/** Words on so many lines at the most, each about as long as the others, so that no word is left over alone. */
function balanced(text: string, most: number): string[] {
  let width = Math.min(captionLimits.line, Math.ceil(text.length / most))
  let lines = wrapped(text, width)
  while (lines.length > most && width < captionLimits.line) lines = wrapped(text, ++width)
  return lines
}

/** A text in pieces that stand at once: sentences, those that are too long cut between words. */
function pieces(text: string): string[] {
  sentences ??= new Intl.Segmenter('en', { granularity: 'sentence' })
  return [...sentences.segment(text.replace(/\s+/g, ' ').trim())].flatMap(({ segment }) => {
    const count = Math.ceil(wrapped(segment).length / captionLimits.lines)
    const isShort = segment.trim().length <= captionLimits.line
    const lines = isShort ? wrapped(segment) : balanced(segment.trim(), count * captionLimits.lines)
    return Array.from({ length: Math.ceil(lines.length / captionLimits.lines) }, (_, i) =>
      lines.slice(i * captionLimits.lines, (i + 1) * captionLimits.lines).join('\n'),
    )
  })
}

const toMs = (seconds: number) => Math.round(seconds * 1000) / 1000

/** A transcript by the words of a script and where its beats stand in the cut: an estimate. */
export function transcriptOf(script: Script | undefined, pace: SpeechPace, timing: Timing): Caption[] {
  return beatTimes(script, pace, timing).flatMap((beat) => {
    const all = pieces(beat.text)
    const letters = all.reduce((n, p) => n + p.length, 0)
    let at = beat.from
    return all.map((text) => {
      const from = at
      at += ((beat.said - beat.from) * text.length) / letters
      return { from: toMs(from), to: toMs(at), text }
    })
  })
}

/** What is wrong with a caption, by its place in the list. */
export interface CaptionFault {
  index: number
  says: string
}

/** Letters that are read, without line breaks. */
const lettersIn = (text: string) => text.replace(/\s*\n\s*/g, ' ').trim().length

/**
 * What breaks the rules for subtitles: one that begins before the one before it ends, or ends before it begins; a long
 * silence, unless those are meant; lines too long, or too many; more letters a second than are read; one past the end of the cut.
 */
export function captionFaults(
  captions: readonly Caption[],
  length?: number,
  areGapsMeant = false,
): CaptionFault[] {
  return captions.flatMap((c, index): CaptionFault[] => {
    const before = captions[index - 1]
    const lasts = c.to - c.from
    const lines = c.text.split('\n')
    const longest = Math.max(...lines.map((l) => l.trim().length))
    const rate = lasts > 0 ? lettersIn(c.text) / lasts : 0
    const says = [
      before && c.from < before.to - 0.001
        ? `begins before ${sayTime(before.to)}, where the one before ends`
        : '',
      !areGapsMeant && before && c.from - before.to > captionLimits.gap
        ? `${Math.round(c.from - before.to)} s of nothing before it`
        : '',
      lasts <= 0 ? 'ends before it begins' : '',
      longest > captionLimits.line ? `a line of ${longest} letters, more than ${captionLimits.line}` : '',
      lines.length > captionLimits.lines ? `${lines.length} lines, more than ${captionLimits.lines}` : '',
      rate > captionLimits.perSecond
        ? `${Math.round(rate)} letters a second, more than ${captionLimits.perSecond}`
        : '',
      length !== undefined && c.to > length + 0.5 ? `past the end at ${sayTime(length)}` : '',
    ]
    return says.filter(Boolean).map((s) => ({ index, says: s }))
  })
}
