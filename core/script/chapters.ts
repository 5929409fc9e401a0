import type { Outlet, Script, Timing } from '../records'
import { scriptFigures, type SpeechPace } from './timing'
import { sayTime } from './timecode'

/** A chapter: its start in whole seconds and its title. */
export interface Chapter {
  start: number
  title: string
}

/**
 * Chapters and where they come from: typed times of the edit, or the script's estimate stretched to the
 * edit's length.
 */
export interface Chapters {
  from: 'edit' | 'script' | 'nothing'
  /** Rising, and inside the edit's length where that is known. */
  list: Chapter[]
  /** Typed starts that cannot be, each with what is wrong; they are not in the list. */
  left: string[]
}

/** Chapters that rise and stand inside a length, and in sentences those that don't. */
function rising(all: readonly Chapter[], length: number | undefined): Pick<Chapters, 'list' | 'left'> {
  const list: Chapter[] = []
  const left: string[] = []
  for (const c of all) {
    const before = list.at(-1)
    if (before && c.start <= before.start)
      left.push(
        `“${c.title}” at ${sayTime(c.start)} does not come after “${before.title}” at ${sayTime(before.start)}`,
      )
    else if (length !== undefined && c.start >= length)
      left.push(`“${c.title}” at ${sayTime(c.start)} is past the end at ${sayTime(length)}`)
    else list.push(c)
  }
  return { list, left }
}

/**
 * The chapters of an episode. Sections whose start was typed at the edit give exact ones; while none was
 * typed, the script's estimated starts, scaled to the edit's real length where that is known.
 */
export function chaptersOf(script: Script | undefined, cut: Timing, pace: SpeechPace): Chapters {
  if (!script) return { from: 'nothing', list: [], left: [] }
  const last = lastChapters.get(script)
  if (last?.cut === cut && last.pace === pace) return last.chapters
  const chapters = chaptersIn(script, cut, pace)
  lastChapters.set(script, { cut, pace, chapters })
  return chapters
}
/** Chapters by script, of the cut and pace last asked for: the description and the chapters themselves ask for the same. */
const lastChapters = new WeakMap<Script, { cut: Timing; pace: SpeechPace; chapters: Chapters }>()

function chaptersIn(script: Script, cut: Timing, pace: SpeechPace): Chapters {
  const typed = script.sections.flatMap((s) => {
    const start = cut.starts[s.id]
    return start === undefined ? [] : [{ start: Math.round(start), title: s.title }]
  })
  if (typed.length > 0) return { from: 'edit', ...rising(typed, cut.length) }
  const figures = scriptFigures(script, pace)
  if (figures.seconds === 0) return { from: 'nothing', list: [], left: [] }
  const scale = cut.length === undefined ? 1 : cut.length / figures.seconds
  const estimated = figures.sections
    .filter((s) => s.seconds > 0)
    .map((s) => ({ start: Math.round(s.start * scale), title: s.title }))
  // Estimates that fall on one second are one.
  return { from: 'script', list: rising(estimated, cut.length).list, left: [] }
}

/**
 * What breaks an outlet's rules for chapters (`engine` 10), in sentences; none when they pass. `length` in
 * seconds.
 */
export function chapterFaults(
  list: readonly Chapter[],
  rules: Outlet['chapters'],
  length?: number,
): string[] {
  const faults: string[] = []
  const first = list[0]
  if (list.length < rules.least)
    faults.push(`${list.length} of the ${rules.least} chapters that are asked for`)
  if (first && first.start !== 0) faults.push(`the first starts at ${sayTime(first.start)}, not at 0:00`)
  list.forEach((chapter, i) => {
    const next = list[i + 1]?.start ?? length
    if (next === undefined) return
    if (next <= chapter.start)
      faults.push(
        `“${chapter.title}” at ${sayTime(chapter.start)} does not stand before what follows it at ${sayTime(next)}`,
      )
    else if (next - chapter.start < rules.gap)
      faults.push(`“${chapter.title}” has ${next - chapter.start} s, less than ${rules.gap} s`)
  })
  return faults
}
