import { sum } from 'd3-array'
import type { Beat, Delivery, Script, Section, Spoken } from '../records'
import { isPictured } from './cues'
import { freeSeconds, pointsIn, spokenIn, usualPoint } from './spoken'

/** Words a minute by delivery, and the seconds that ends cost (`engine` 9). */
export interface SpeechPace {
  camera: number
  voice: number
  /** Seconds a point. */
  point?: number | undefined
}
const SENTENCE = 0.35
const BEAT = 0.8

let segmenter: Intl.Segmenter | undefined

/** What a text comes to: its words, and the ends of its sentences. */
interface Counts {
  words: number
  ends: number
}

const inText = (marks: string) => new Set([...marks].map((m) => m.charCodeAt(0)))
const enders = inText('.!?…')
const closers = inText('"\'”’)»')
/** Marks that plain text may have beside letters, figures and spaces. */
const marks = inText('.,!?\'’"“”()…–—-')
const apostrophes = inText("'’.")
const comma = ','.charCodeAt(0)
const isDigit = (c: number) => c >= 48 && c <= 57
const isLetter = (c: number) => (c >= 97 && c <= 122) || (c >= 65 && c <= 90)
const isSpace = (c: number) => c === 32 || (c >= 9 && c <= 13)

/** Whether a word goes on over a mark: “don't”, “3.5”, “12,400”. */
function joins(before: number, mark: number, after: number): boolean {
  if (isLetter(before)) return isLetter(after) && apostrophes.has(mark)
  return isDigit(before) && isDigit(after) && (apostrophes.has(mark) || mark === comma)
}

/**
 * Counts a text of plain letters, figures and the usual marks in one pass, as the segmenter and the pattern for ends
 * do, many times faster; nothing where it has anything else.
 */
function plainCounts(text: string): Counts | undefined {
  let words = 0
  let ends = 0
  let inWord = false
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i)
    if (isLetter(c) || isDigit(c)) {
      if (!inWord) words++
      inWord = true
      continue
    }
    if (!isSpace(c) && !marks.has(c)) return undefined
    inWord = inWord && joins(text.charCodeAt(i - 1), c, text.charCodeAt(i + 1))
    if (!enders.has(c) || enders.has(text.charCodeAt(i + 1))) continue
    let next = i + 1
    while (closers.has(text.charCodeAt(next))) next++
    if (next === text.length || isSpace(text.charCodeAt(next))) ends++
  }
  return { words, ends }
}

/**
 * How many words a text has, by the rules of Unicode (`Intl.Segmenter`), so that “don't” and “kräftig” are
 * one each.
 */
export function countWords(text: string): number {
  return plainCounts(text)?.words ?? segmentedWords(text)
}

function segmentedWords(text: string): number {
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
  return plainCounts(text)?.ends ?? patternEnds(text)
}

function patternEnds(text: string): number {
  return text.match(/[.!?…]+(?=["'”’)»]*(\s|$))|[。！？｡．؟۔।॥։።៕᙮]+/gu)?.length ?? 0
}

/** Counts by beat: a script is timed anew at every letter, and only one beat of it is another. */
const counts = new WeakMap<Beat, Counts>()

function countsOf(beat: Beat): Counts {
  let found = counts.get(beat)
  if (!found) {
    const { text } = beat
    found = plainCounts(text) ?? { words: segmentedWords(text), ends: patternEnds(text) }
    counts.set(beat, found)
  }
  return found
}

/**
 * Seconds that one beat takes: words by its delivery's pace, 0.35 s a sentence end, 0.8 s at its end, and
 * its hold; spoken from points, so many seconds a point. Nothing for a blank beat but its hold.
 */
export function beatSeconds(beat: Beat, pace: SpeechPace, spoken: Spoken = 'words'): number {
  if (spoken === 'free') return 0
  if (spoken === 'points') return pointsIn(beat).length * (pace.point ?? usualPoint) + beat.hold
  const { words, ends } = countsOf(beat)
  if (words === 0) return beat.hold
  return (words * 60) / pace[beat.delivery] + SENTENCE * ends + BEAT + beat.hold
}

/** Seconds of a section of a script. */
export function sectionSeconds(script: Script | undefined, section: Section, pace: SpeechPace): number {
  const spoken = spokenIn(script, section)
  return spoken === 'free'
    ? freeSeconds(script, section)
    : sum(section.beats, (beat) => beatSeconds(beat, pace, spoken))
}

/** What a script comes to: seconds whole, per section and per delivery, words, and beats still blank. */
export interface ScriptFigures {
  seconds: number
  sections: { id: string; title: string; seconds: number; start: number }[]
  delivery: Record<Delivery, number>
  words: number
  /** Seconds of silence or music that were asked for. */
  holds: number
  beats: number
  blank: number
  covered: number
}

/** Figures by script, at the pace last asked for: several parts of an episode ask for the same. */
const lastFigures = new WeakMap<Script, { pace: SpeechPace; figures: ScriptFigures }>()

/** The figures of a script at a pace. Linear in its text; the same records are not counted twice. */
export function scriptFigures(script: Script | undefined, pace: SpeechPace): ScriptFigures {
  if (!script) return figuresOf(script, pace)
  const last = lastFigures.get(script)
  if (last?.pace === pace) return last.figures
  const figures = figuresOf(script, pace)
  lastFigures.set(script, { pace, figures })
  return figures
}

function figuresOf(script: Script | undefined, pace: SpeechPace): ScriptFigures {
  const figures: ScriptFigures = {
    seconds: 0,
    sections: [],
    delivery: { camera: 0, voice: 0 },
    words: 0,
    holds: 0,
    beats: 0,
    blank: 0,
    covered: 0,
  }
  for (const section of script?.sections ?? []) {
    const start = figures.seconds
    const spoken = spokenIn(script, section)
    const free = spoken === 'free' ? freeSeconds(script, section) : 0
    figures.seconds += free
    figures.delivery.camera += free
    for (const beat of section.beats) {
      const seconds = beatSeconds(beat, pace, spoken)
      figures.seconds += seconds
      figures.delivery[beat.delivery] += seconds
      figures.holds += spoken === 'free' ? 0 : beat.hold
      figures.beats++
      const { words } = countsOf(beat)
      if (spoken === 'words') figures.words += words
      if (words === 0 && spoken !== 'free') figures.blank++
      if (isPictured(beat)) figures.covered++
    }
    figures.sections.push({ id: section.id, title: section.title, seconds: figures.seconds - start, start })
  }
  if (script?.spoken === 'free' && script.sections.length === 0) {
    figures.seconds = script.lasts ?? 0
    figures.delivery.camera = figures.seconds
  }
  return figures
}

const hasWord = (text: string) => /\p{L}|\p{N}/u.test(text)

/**
 * Whether a section is ready to be spoken: it has words; or points, where it is spoken from them; or a length, where
 * it is spoken freely. In full words, points (lines that begin with a bullet) are not written out yet.
 */
export function sectionWritten(script: Script | undefined, section: Section): boolean {
  switch (spokenIn(script, section)) {
    case 'free':
      return freeSeconds(script, section) > 0
    case 'points':
      return section.beats.some((b) => pointsIn(b).length > 0)
    case 'words':
      return section.beats.some((b) =>
        b.text.includes('•')
          ? b.text.split('\n').some((line) => !line.startsWith('•') && hasWord(line))
          : hasWord(b.text),
      )
  }
}

/** Whether a script is written: every section is, and there is one; spoken freely as a whole, its length is enough. */
export function scriptWritten(script: Script | undefined): boolean {
  if (!script) return false
  if (script.sections.length === 0) return script.spoken === 'free' && (script.lasts ?? 0) > 0
  return script.sections.every((s) => sectionWritten(script, s))
}

/** Whether all of a script is spoken in full words. */
export function isInFullWords(script: Script | undefined): boolean {
  return (
    (script?.spoken ?? 'words') === 'words' &&
    (script?.sections ?? []).every((s) => spokenIn(script, s) === 'words')
  )
}
