import type { AgreedTime } from '../partners/visits'
import { sayDay } from '../rhythm/days'
import type { EpisodeProgress } from '../recipe/progress'

/** When something was agreed with a guest: `with Ada, Wed 2 Dec at 18:00`. */
export function sayAgreed({ guest, day, at }: AgreedTime): string {
  return `with ${guest}, ${sayDay(day)} at ${at}`
}

/** How far an episode is from its release, in a word or two: `scheduled`, `ready`, `2 missing`, `scheduled, 2 missing`. */
export function sayState({
  scheduled,
  ready,
  missing,
}: Pick<EpisodeProgress, 'scheduled' | 'ready' | 'missing'>): string {
  if (scheduled) return ready ? 'scheduled' : `scheduled, ${missing.length} missing`
  return ready ? 'ready' : `${missing.length} missing`
}
