import type { Id } from '../../records'
import { refused } from '../../result'
import type { Command } from '../change'
import { changedAll } from './changed-all'

/**
 * Lets ideas go: kept as dropped, so that nothing is lost. Refused for what has been released.
 *
 * Refused:
 * - “What has been released stays in the Catalogue.”
 */
export const dropEpisodes: Command<{ episodes: Id[]; why: string }> = (
  records,
  { episodes, why },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  if (found.some((e) => e.phase.kind === 'released'))
    return refused('What has been released stays in the Catalogue.', 'episodes.phase')
  return changedAll(
    records,
    found,
    (e) => ({ ...e, phase: { kind: 'dropped', why }, place: { kind: 'nothing' } }),
    context,
    found.length === 1 ? `Let “${found[0]?.title ?? ''}” go` : `Let ${found.length} ideas go`,
  )
}
