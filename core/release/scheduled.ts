import type { Episode, Show } from '../records'
import { releaseOf } from '../rhythm/slots'

/**
 * Whether an episode is uploaded and comes out by itself at its release moment. One that was moved since it was
 * scheduled is not: its outlets still have the old moment.
 */
export function isScheduled(episode: Episode, show: Show): boolean {
  const { phase } = episode
  if (phase.kind !== 'work' || phase.scheduled === undefined) return false
  return releaseOf(episode, show)?.at === Date.parse(phase.scheduled)
}
