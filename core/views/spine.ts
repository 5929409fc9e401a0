import type { Id, Script } from '../records'
import { longStretch, longestBare } from '../script/attention'
import { spokenIn } from '../script/spoken'
import { beatSeconds, scriptFigures, type SpeechPace } from '../script/timing'

/** A beat on the spine of a script. */
export interface SpineBeat {
  id: Id
  kind: 'camera' | 'voice' | 'blank' | 'free'
  top: number
  height: number
}

/** A section on the spine: where it begins, and where its title stands, which may be pushed down by the one before. */
export interface SpineSection {
  id: Id
  title: string
  seconds: number
  top: number
  label: number
  serves: readonly number[]
  beats: SpineBeat[]
}

/** A script drawn true to time from top to bottom, in pixels. */
export interface Spine {
  height: number
  sections: SpineSection[]
  /** The longest stretch to camera with nothing to look at, where it is worth a remark. */
  bare: { top: number; height: number; seconds: number; beat: Id } | undefined
}

/** Least height of what has no time yet, and of a title beside it. */
const least = 5
const line = 19
const gap = 4

function barsOf(
  script: Script,
  section: Script['sections'][number],
  pace: SpeechPace,
  scale: number,
): SpineBeat[] {
  const spoken = spokenIn(script, section)
  return section.beats.map((beat): SpineBeat => {
    const seconds = beatSeconds(beat, pace, spoken)
    const kind = spoken === 'free' ? 'free' : seconds === 0 ? 'blank' : beat.delivery
    return { id: beat.id, kind, top: 0, height: Math.max(least, seconds * scale - 1) }
  })
}

/**
 * Lays a script out true to time on so many pixels: a beat as high as it is long (but never less than can be seen),
 * a gap between sections, titles beside their section and never over one another.
 */
export function spineOf(script: Script | undefined, pace: SpeechPace, room: number): Spine {
  const figures = scriptFigures(script, pace)
  const sections = script?.sections ?? []
  const scale = Math.max(0.05, (room - gap * sections.length) / Math.max(60, figures.seconds))
  let at = 0
  let free = 0
  const laid = sections.map((section, i): SpineSection => {
    const seconds = figures.sections[i]?.seconds ?? 0
    const top = at
    const label = Math.max(top, free)
    free = label + line
    const bars = script ? barsOf(script, section, pace, scale) : []
    const beats = bars.map((beat) => {
      const placed = { ...beat, top: at }
      at += beat.height + 1
      return placed
    })
    // Spoken freely it is as long as was typed, whatever notes it has.
    at = Math.max(at, top + least, top + (beats.some((b) => b.kind !== 'free') ? 0 : seconds * scale)) + gap
    return { id: section.id, title: section.title, seconds, top, label, serves: section.serves ?? [], beats }
  })
  const all = laid.flatMap((s) => s.beats)
  const longest = longestBare(script, pace)
  const from = all.find((b) => b.id === longest?.beat)
  const bare =
    longest && from && longest.seconds >= longStretch
      ? { top: from.top, height: longest.seconds * scale, seconds: longest.seconds, beat: longest.beat }
      : undefined
  return { height: Math.max(at, free), sections: laid, bare }
}
