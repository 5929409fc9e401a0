import type { Beat, Script, Section, Spoken } from '../records'

/** Seconds that a point takes where the show doesn't say. */
export const usualPoint = 40

/** How a section is spoken: as it says, else as its script says, else in full words. */
export function spokenIn(
  script: Pick<Script, 'spoken'> | undefined,
  section: Pick<Section, 'spoken'>,
): Spoken {
  return section.spoken ?? script?.spoken ?? 'words'
}

/** The points of a beat, a line each, without their bullets. */
export function pointsIn(beat: Pick<Beat, 'text'>): string[] {
  return beat.text
    .split('\n')
    .map((line) => line.replace(/^\s*[•*\-–]?\s*/u, '').trim())
    .filter((line) => /\p{L}|\p{N}/u.test(line))
}

/**
 * Seconds that a section lasts which is spoken freely: its own, else an even share of what the whole script lasts
 * beside those that have their own. Nothing where no length was typed.
 */
export function freeSeconds(
  script: Pick<Script, 'sections' | 'spoken' | 'lasts'> | undefined,
  section: Section,
): number {
  if (section.lasts !== undefined) return section.lasts
  if (script?.spoken !== 'free' || script.lasts === undefined) return 0
  const all = script.sections.filter((s) => spokenIn(script, s) === 'free')
  const own = all.reduce((sum, s) => sum + (s.lasts ?? 0), 0)
  const sharing = all.filter((s) => s.lasts === undefined).length
  return Math.max(0, script.lasts - own) / Math.max(1, sharing)
}
