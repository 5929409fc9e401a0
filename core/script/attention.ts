import { max, sum } from 'd3-array'
import type { Id, Script } from '../records'
import { isPictured } from './cues'
import { freeSeconds, spokenIn } from './spoken'
import { beatSeconds, sectionSeconds, type SpeechPace } from './timing'

/** A stretch of a script: its length and where it begins, seconds. */
export interface Stretch {
  start: number
  seconds: number
  /** The beat with which it begins. */
  beat: Id
}

/** From here on a stretch with nothing to look at is worth a remark, seconds. */
export const longStretch = 30

/**
 * The longest stretch that is spoken to camera with nothing to look at (`engine` 9): beats to camera without a
 * picture, one behind the other, also over the ends of sections. Nothing where there is none. Linear in the script.
 */
export function longestBare(script: Script | undefined, pace: SpeechPace): Stretch | undefined {
  const found: Stretch[] = []
  let now: Stretch | undefined
  let at = 0
  for (const section of script?.sections ?? []) {
    const spoken = spokenIn(script, section)
    if (spoken === 'free') {
      at += freeSeconds(script, section)
      now = undefined
      continue
    }
    for (const beat of section.beats) {
      const seconds = beatSeconds(beat, pace, spoken)
      if (beat.delivery === 'camera' && !isPictured(beat)) {
        if (!now && seconds > 0) found.push((now = { start: at, seconds: 0, beat: beat.id }))
        if (now) now.seconds += seconds
      } else now = undefined
      at += seconds
    }
  }
  const longest = max(found, (s) => s.seconds)
  return found.find((s) => s.seconds === longest)
}

/** Seconds that a script gives to each of so many points: those of the sections that serve it. */
export function pointSeconds(script: Script | undefined, pace: SpeechPace, points: number): number[] {
  return Array.from({ length: points }, (_, point) =>
    sum(script?.sections ?? [], (s) => (s.serves?.includes(point) ? sectionSeconds(script, s, pace) : 0)),
  )
}
