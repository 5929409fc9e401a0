import { sum } from 'd3-array'
import type { Beat, Delivery, Script, Section } from '../records'

/** Words a minute by delivery, and the seconds that ends cost (`engine` 9). */
export interface Pace {
  camera: number
  voice: number
}
const SENTENCE = 0.35
const BEAT = 0.8

let segmenter: Intl.Segmenter | undefined
/**
 * Text whose words a pattern finds as the segmenter does, many times faster: plain letters, figures and the
 * usual marks.
 */
const plain = /^[A-Za-z0-9\s.,!?'’"“”()…–—-]*$/
const plainWord = /[A-Za-z0-9]+(?:(?:(?<=[A-Za-z])['’.](?=[A-Za-z])|(?<=\d)['’.,](?=\d))[A-Za-z0-9]+)*/g

/**
 * How many words a text has, by the rules of Unicode (`Intl.Segmenter`), so that “don't” and “kräftig” are
 * one each.
 */
export function countWords(text: string): number {
  if (plain.test(text)) return text.match(plainWord)?.length ?? 0
  segmenter ??= new Intl.Segmenter('en', { granularity: 'word' })
  let words = 0
  for (const piece of segmenter.segment(text)) if (piece.isWordLike) words++
  return words
}

/**
 * How many sentence ends a text has: stops, questions and calls before a space, a quote or the end; those
 * of scripts that write no space behind them (Chinese, Japanese) wherever they stand, and those of Arabic,
 * Urdu, Devanagari, Armenian, Ethiopic and Khmer.
 */
export function countSentenceEnds(text: string): number {
  return text.match(/[.!?…]+(?=["'”’)»]*(\s|$))|[。！？｡．؟۔।॥։።៕᙮]+/gu)?.length ?? 0
}

/** Counts by text, since a script is timed anew at every letter and only one beat of it is another. */
const counts = new Map<string, { words: number; ends: number }>()

function countsOf(text: string): { words: number; ends: number } {
  let found = counts.get(text)
  if (!found) {
    if (counts.size > 4000) counts.clear()
    counts.set(text, (found = { words: countWords(text), ends: countSentenceEnds(text) }))
  }
  return found
}

/**
 * Seconds that one beat takes: words by its delivery's pace, 0.35 s a sentence end, 0.8 s at its end, and
 * its hold. Nothing for a blank beat but its hold.
 */
export function beatSeconds(beat: Beat, pace: Pace): number {
  const { words, ends } = countsOf(beat.text)
  if (words === 0) return beat.hold
  return (words * 60) / pace[beat.delivery] + SENTENCE * ends + BEAT + beat.hold
}

/** Seconds of a section. */
export function sectionSeconds(section: Section, pace: Pace): number {
  return sum(section.beats, (beat) => beatSeconds(beat, pace))
}

/** What a script comes to: seconds whole, per section and per delivery, words, and beats still blank. */
export interface ScriptFigures {
  seconds: number
  sections: { id: string; title: string; seconds: number; start: number }[]
  delivery: Record<Delivery, number>
  words: number
  beats: number
  blank: number
  covered: number
  shots: { got: number; needed: number }
}

/** The figures of a script at a pace. Linear in its text. */
export function scriptFigures(script: Script | undefined, pace: Pace): ScriptFigures {
  const figures: ScriptFigures = {
    seconds: 0,
    sections: [],
    delivery: { camera: 0, voice: 0 },
    words: 0,
    beats: 0,
    blank: 0,
    covered: 0,
    shots: { got: 0, needed: 0 },
  }
  for (const section of script?.sections ?? []) {
    const start = figures.seconds
    for (const beat of section.beats) {
      const seconds = beatSeconds(beat, pace)
      figures.seconds += seconds
      figures.delivery[beat.delivery] += seconds
      figures.beats++
      const { words } = countsOf(beat.text)
      figures.words += words
      if (words === 0) figures.blank++
      if (beat.cues.some((c) => c.kind === 'shot' || c.kind === 'graphic')) figures.covered++
      for (const cue of beat.cues)
        if (cue.kind === 'shot') {
          figures.shots.needed++
          if (cue.got) figures.shots.got++
        }
    }
    figures.sections.push({ id: section.id, title: section.title, seconds: figures.seconds - start, start })
  }
  return figures
}

/**
 * Whether a script is written: it has words, and no section is without any. A blank beat beside written
 * ones does not hold it up; points (lines that begin with a bullet) are not written out yet.
 */
export function scriptWritten(script: Script | undefined): boolean {
  return (
    (script?.sections.length ?? 0) > 0 &&
    (script?.sections.every((s) =>
      s.beats.some((b) =>
        b.text.split('\n').some((line) => !line.startsWith('•') && /\p{L}|\p{N}/u.test(line)),
      ),
    ) ??
      false)
  )
}
