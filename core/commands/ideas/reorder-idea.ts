import { rankOf } from '../../ideas/usable'
import type { Episode, Id, Records } from '../../records'
import { type Result, ok, refused } from '../../result'
import { type Command, type Context, type Outcome, momentOf, putRecord } from '../change'
import { withIdea } from './with-idea'

/**
 * Puts an idea between two others (or before the first, behind the last) in the order made by hand. `order`
 * are the ids as they stand on screen.
 *
 * Refused:
 * - “This idea is no longer there.”
 */
export const reorderIdea: Command<{ episode: Id; before: Id | undefined; after: Id | undefined }> = (
  records,
  { episode: id, before, after },
  context,
) => {
  const e = records.episodes.get(id)
  if (!e) return refused('This idea is no longer there.', 'episodes')
  const above = before === undefined ? undefined : records.episodes.get(before)
  const below = after === undefined ? undefined : records.episodes.get(after)
  const low = above && rankOf(above)
  const high = below && rankOf(below)
  const rank =
    low === undefined
      ? high === undefined
        ? 0
        : high - 1000
      : high === undefined
        ? low + 1000
        : (low + high) / 2
  // No room is left between the two (or they are of the same moment): all ideas get ranks anew, a thousand
  // apart, in the order they stand in.
  if (
    above &&
    below &&
    high !== undefined &&
    low !== undefined &&
    (rank - low < least || high - rank < least)
  )
    return renumbered(records, e, below, context)
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...withIdea(e, { rank }),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Moved “${e.title}” in the order`,
    about: [id],
  })
}

/** The least distance of two ranks: half of it can still be told apart among moments in ms. */
const least = 1 / 64

/** Ideas with ranks anew, a thousand apart, one of them moved before another. */
function renumbered(records: Records, moved: Episode, before: Episode, context: Context): Result<Outcome> {
  const row = [...records.episodes.values()]
    .filter((e) => e.phase.kind === 'idea' && e.id !== moved.id)
    .sort((a, b) => rankOf(a) - rankOf(b) || (a.id < b.id ? -1 : 1))
  const at = row.findIndex((e) => e.id === before.id)
  row.splice(at < 0 ? row.length : at, 0, moved)
  return ok({
    changes: row.map((e, i) =>
      putRecord(records, 'episodes', {
        ...withIdea(e, { rank: i * 1000 }),
        ...(e.id === moved.id ? { updatedAt: momentOf(context) } : {}),
      }),
    ),
    sentence: `Moved “${moved.title}” in the order`,
    about: [moved.id],
  })
}
