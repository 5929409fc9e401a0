import { sum } from 'd3-array'
import type { Beat, Id, Script, Section, ShotPlan, Show, Take } from '../records'
import { isGot } from './reading'
import { spokenIn } from './spoken'
import { beatSeconds, type SpeechPace } from './timing'

const mark = 'camera:'

/** The id under which what an episode says to camera is filmed, as one shot among the others. */
export const cameraId = (episode: Id): Id => `${mark}${episode}`

/** The episode whose words to camera an id stands for; nothing for any other id. */
export function episodeOfCamera(id: Id): Id | undefined {
  return id.startsWith(mark) ? id.slice(mark.length) : undefined
}

/** How often words are said until they are kept, setting out and looking at it counted in: minutes a minute. */
const times = 4

/** What a script says to camera: how long it is, and whether it was got. */
export interface ToCamera {
  seconds: number
  /** Said once so that it is filmed; minutes. */
  minutes: number
  got: boolean
  plan: ShotPlan
  takes: readonly Take[]
}

const isToCamera = (b: Beat) => b.delivery === 'camera' && b.text.trim() !== ''

function wordsGot(script: Script | undefined, spoken: readonly Section[]): boolean {
  return (script?.toCamera?.got ?? false) || spoken.every(isGot)
}

/** How much of what is filmed was got. */
export interface ShotsGot {
  got: number
  needed: number
}
/** By script, before a camera and without: every screen asks for the same. */
const counted = { video: new WeakMap<Script, ShotsGot>(), audio: new WeakMap<Script, ShotsGot>() }

/** What an episode has to film, counted: the shots that its script asks for and, where there is a camera, its words as one. */
export function shotsToGet(script: Script | undefined, { kind }: Pick<Show, 'kind'>): ShotsGot {
  if (!script) return { got: 0, needed: 0 }
  const known = counted[kind].get(script)
  if (known) return known
  const cues = script.sections.flatMap((s) => s.beats.flatMap((b) => b.cues))
  const shots = cues.filter((c) => c.kind === 'shot')
  const spoken = script.sections.filter((s) => s.beats.some(isToCamera))
  const words = kind === 'video' && spoken.length > 0 ? [{ got: wordsGot(script, spoken) }] : []
  const all = [...words, ...shots]
  const found = { got: all.filter((s) => s.got).length, needed: all.length }
  counted[kind].set(script, found)
  return found
}

/**
 * What is said to camera in a script, as a shot: got when it is said to be, or when a take of every section of it was
 * kept. Nothing where it has no such words.
 */
export function toCamera(script: Script | undefined, pace: SpeechPace): ToCamera | undefined {
  const spoken = (script?.sections ?? []).flatMap((section) => {
    const beats = section.beats.filter(isToCamera)
    const kind = spokenIn(script, section)
    const seconds = sum(beats, (b) => beatSeconds({ ...b, hold: 0 }, pace, kind))
    return beats.length > 0 ? [{ section, seconds }] : []
  })
  if (spoken.length === 0) return undefined
  const seconds = sum(spoken, (s) => s.seconds)
  return {
    seconds,
    minutes: script?.toCamera?.shot?.minutes ?? Math.max(5, Math.round((seconds / 60) * times)),
    got: wordsGot(
      script,
      spoken.map((s) => s.section),
    ),
    plan: script?.toCamera?.shot ?? {},
    takes: script?.toCamera?.takes ?? [],
  }
}
