import type { EpisodeProgress } from '../recipe/progress'

/** How far an episode is from its release, in a word or two: `scheduled`, `ready`, `2 missing`, `scheduled, 2 missing`. */
export function sayState({
  scheduled,
  ready,
  missing,
}: Pick<EpisodeProgress, 'scheduled' | 'ready' | 'missing'>): string {
  if (scheduled) return ready ? 'scheduled' : `scheduled, ${missing.length} missing`
  return ready ? 'ready' : `${missing.length} missing`
}
