import type { Clip, Episode } from '../records'

/**
 * A line typed while editing as a clip: what it is, by whom, its licence, parted by commas, semicolons or dashes
 * (“Harbour at dawn, R. Teal, with leave”). What is not said stays empty; a licence may hold commas of its own.
 */
export function readClip(line: string): Omit<Clip, 'id'> {
  const [text = '', source = '', ...licence] = line
    .split(/\s*[,;]\s+|\s+[–—-]\s+/)
    .map((p) => p.trim())
    .filter(Boolean)
  return { text, source, licence: licence.join(', ') }
}

/** The credits of clips found while editing, a line each: what, by whom, licence. */
export function clipCredits({ clips = [] }: Pick<Episode, 'clips'>): string[] {
  return clips
    .filter((c) => c.source.trim() !== '')
    .map((c) =>
      [c.text, c.source, c.licence]
        .map((p) => p.trim())
        .filter(Boolean)
        .join(', '),
    )
}

/** Clips that are used without a licence being noted: nothing goes out with them. */
export function unlicensedClips({ clips = [] }: Pick<Episode, 'clips'>): Clip[] {
  return clips.filter((c) => c.licence.trim() === '')
}
