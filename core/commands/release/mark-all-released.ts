import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { likelyOut } from '../../release/likely-out'
import { progressOf } from '../../recipe/lamps'
import { releaseOf } from '../../rhythm/slots'
import { type Change, type Command, withChanges, merged } from '../change'
import { sourcesOf } from '../sources-of'
import { markReleased } from './mark-released'

/**
 * Answers “is it out?” with yes for several at once, each released when it most likely was, in order of release.
 * Refused when none of them can be.
 *
 * Refused:
 * - “They are out already, or no longer there.”
 */
export const markAllReleased: Command<{ episodes: Id[] }> = (records, { episodes }, context) => {
  const at = (id: Id) => {
    const e = records.episodes.get(id)
    const show = e && records.shows.get(e.show)
    return (e && show && releaseOf(e, show)?.at) ?? 0
  }
  let now = records
  let changes: Change[] = []
  const done: Id[] = []
  for (const id of [...episodes].sort((a, b) => at(a) - at(b))) {
    const sources = sourcesOf(now, id, context)
    const said = sources && likelyOut(progressOf(sources), context.now)
    const one = markReleased(now, { episode: id, at: said }, context)
    if (!one.ok) continue
    changes = merged(changes, one.value.changes)
    now = withChanges(now, one.value.changes)
    done.push(id)
  }
  return done.length === 0
    ? refused('They are out already, or no longer there.', 'episodes.phase')
    : ok({
        changes,
        sentence: `Released ${done.length} ${done.length === 1 ? 'episode' : 'episodes'}`,
        about: done,
      })
}
