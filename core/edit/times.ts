import type { Id, Script, Timing } from '../records'
import { spokenIn } from '../script/spoken'
import { beatSeconds, scriptFigures, type SpeechPace } from '../script/timing'

/** A section as it stands in a cut: where it begins and ends, seconds; `isTimed` where its start was said, not estimated. */
export interface SectionTime {
  id: Id
  title: string
  from: number
  to: number
  /** What the script says it lasts. */
  script: number
  isTimed: boolean
}

/** Moments of a cut that are known: the script's estimate, and where it really is. */
interface Anchor {
  script: number
  real: number
}

/** Anchors that rise in both; one that does not rise is left out. */
function anchorsOf(script: Script, pace: SpeechPace, timing: Timing): Anchor[] {
  const figures = scriptFigures(script, pace)
  const known: Anchor[] = []
  const add = (a: Anchor) => {
    const last = known.at(-1)
    if (!last || (a.real > last.real && a.script > last.script)) known.push(a)
  }
  const starts = figures.sections.flatMap((s) => {
    const real = timing.starts[s.id]
    const isInside = real !== undefined && (timing.length === undefined || real < timing.length)
    return isInside ? [{ script: s.start, real }] : []
  })
  if (starts[0]?.script !== 0) add({ script: 0, real: 0 })
  starts.forEach(add)
  const last = known.at(-1) ?? { script: 0, real: 0 }
  add({ script: figures.seconds, real: timing.length ?? last.real + figures.seconds - last.script })
  return known
}

/**
 * Where a moment of the script stands in its cut: as its sections' starts say, and evenly between them (seconds to
 * seconds).
 */
export function placedIn(script: Script, pace: SpeechPace, timing: Timing): (seconds: number) => number {
  const anchors = anchorsOf(script, pace, timing)
  return (seconds) => {
    const at = Math.max(
      1,
      anchors.findIndex((a) => a.script >= seconds),
    )
    const [before, after] = [anchors[at - 1], anchors[at] ?? anchors.at(-1)]
    if (!before || !after || after.script === before.script) return before?.real ?? seconds
    const share = (seconds - before.script) / (after.script - before.script)
    return before.real + share * (after.real - before.real)
  }
}

/** The sections of a script as they stand in its cut, the first first. */
export function sectionTimes(script: Script | undefined, pace: SpeechPace, timing: Timing): SectionTime[] {
  if (!script) return []
  const figures = scriptFigures(script, pace)
  const place = placedIn(script, pace, timing)
  return figures.sections
    .filter((s) => s.seconds > 0 || timing.starts[s.id] !== undefined)
    .map((s) => ({
      id: s.id,
      title: s.title,
      from: timing.starts[s.id] ?? place(s.start),
      to: place(s.start + s.seconds),
      script: s.seconds,
      isTimed: timing.starts[s.id] !== undefined,
    }))
    .map((s, i, all) => ({ ...s, to: all[i + 1]?.from ?? s.to }))
}

/** A beat in a cut, seconds. */
export interface BeatTime {
  id: Id
  section: Id
  kind: 'camera' | 'voice'
  text: string
  from: number
  to: number
  /** When its words end and its silence or music begins. */
  said: number
}

/** The beats of a script as they stand in its cut; those without a length are left out. */
export function beatTimes(script: Script | undefined, pace: SpeechPace, timing: Timing): BeatTime[] {
  if (!script) return []
  const place = placedIn(script, pace, timing)
  let clock = 0
  return script.sections.flatMap((section) =>
    section.beats.flatMap((beat): BeatTime[] => {
      const seconds = beatSeconds(beat, pace, spokenIn(script, section))
      const from = clock
      clock += seconds
      if (seconds === 0) return []
      const of = { id: beat.id, section: section.id, kind: beat.delivery, text: beat.text }
      return [{ ...of, from: place(from), to: place(clock), said: place(clock - beat.hold) }]
    }),
  )
}

/**
 * Starts of sections by notes that are called as they are: an editor's markers. Only those that rise in the order of the
 * script; nothing where fewer than two fit.
 */
export function startsFrom(
  notes: readonly { at: number; text: string }[],
  sections: readonly { id: Id; title: string }[],
): Record<Id, number> {
  const plain = (text: string) => text.trim().toLowerCase()
  const starts: [Id, number][] = []
  for (const s of sections) {
    const at = notes.find((n) => plain(n.text) === plain(s.title))?.at
    if (at !== undefined && at > (starts.at(-1)?.[1] ?? -1)) starts.push([s.id, at])
  }
  return starts.length < 2 ? {} : Object.fromEntries(starts)
}
