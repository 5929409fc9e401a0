import { sum } from 'd3-array'
import type { Beat, Id, Script, Section, Show, Take } from '../records'
import { spokenIn } from './spoken'
import { beatSeconds, countWords, scriptFigures, sectionSeconds, type SpeechPace } from './timing'

/** What is read aloud: what is said to camera, or everything. */
export type ReadMode = 'camera' | 'all'

/** One thing in the reader: a beat to read, or voice-over that is folded because it is read later. */
export interface ReadLine {
  kind: 'read' | 'later'
  section: Id
  beat: Beat
  seconds: number
}

/** The lines of a script as they are read, in order; blank beats are left out. */
export function linesToRead(script: Script | undefined, pace: SpeechPace, mode: ReadMode): ReadLine[] {
  return (script?.sections ?? []).flatMap((section) => {
    const spoken = spokenIn(script, section)
    return section.beats.flatMap((beat): ReadLine[] => {
      if (beat.text.trim() === '') return []
      const kind = mode === 'camera' && beat.delivery === 'voice' ? 'later' : 'read'
      // Silence is a matter of the cut.
      const seconds = beatSeconds({ ...beat, hold: 0 }, pace, spoken)
      return [{ kind, section: section.id, beat, seconds }]
    })
  })
}

/** The next line to read from a place, in one direction; the place itself where there is none. */
export function stepTo(lines: readonly ReadLine[], from: number, by: 1 | -1): number {
  for (let i = from + by; i >= 0 && i < lines.length; i += by) if (lines[i]?.kind === 'read') return i
  return from
}

/** Whether a section was got: a take of it was kept. */
export function isGot(section: Pick<Section, 'takes'>): boolean {
  return section.takes?.some((t) => t.kept) ?? false
}

/** A beat that was passed in reading, and how long it took, seconds. */
export interface Passed {
  line: ReadLine
  seconds: number
}

/** How one reads against how the script is timed. */
export interface Pacing {
  /** Words a minute, and as the script counts them, pauses in both; nothing before anything was passed. */
  spoken: number | undefined
  script: number | undefined
  /** Seconds of what was passed, and what the script gives to it. */
  soFar: number
  planned: number
  /** How long the whole would run at the pace so far, seconds; and as the script is timed. */
  end: number
  ends: number
}

/** How one reads so far. A beat that was passed twice counts by its last time. */
export function pacingOf(passed: readonly Passed[], script: Script | undefined, pace: SpeechPace): Pacing {
  const last = [...new Map(passed.map((p) => [p.line.beat.id, p])).values()]
  const words = sum(last, (p) => countWords(p.line.beat.text))
  const soFar = sum(last, (p) => p.seconds)
  const planned = sum(last, (p) => p.line.seconds)
  const { seconds: ends, holds } = scriptFigures(script, pace)
  const rest = Math.max(0, ends - holds - planned)
  return {
    spoken: soFar > 0 && words > 0 ? (words * 60) / soFar : undefined,
    script: planned > 0 && words > 0 ? (words * 60) / planned : undefined,
    soFar,
    planned,
    end: planned > 0 ? soFar + rest * (soFar / planned) + holds : ends,
    ends,
  }
}

/** Share that one take has in a rate that was learnt (`engine` 9). */
const share = 0.3
/** Words from which on a take says something of the pace. */
const enough = 40

/**
 * The show's words a minute to camera after a section was spoken in so many seconds: moved by 0.3 of the difference
 * (`engine` 9). The pauses that the script counts are taken as they are. Nothing where the section is too short, not
 * in full words, or its time makes no pace that a person speaks at.
 */
export function learntPace(
  script: Script | undefined,
  section: Section,
  take: Pick<Take, 'seconds'>,
  pace: Show['pace'],
): Show['pace'] | undefined {
  if (spokenIn(script, section) !== 'words') return undefined
  const beats = section.beats.filter((b) => b.delivery === 'camera')
  const words = sum(beats, (b) => countWords(b.text))
  const camera = { ...section, beats }
  const pauses = sectionSeconds(script, camera, pace) - (words * 60) / pace.camera
  const measured = (words * 60) / (take.seconds - pauses)
  if (words < enough || !(measured >= 60 && measured <= 300)) return undefined
  return { ...pace, camera: Math.round(pace.camera + share * (measured - pace.camera)) }
}
