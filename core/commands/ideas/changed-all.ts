import type { Episode, Id, Records } from '../../records'
import { type Result, ok, refused } from '../../result'
import { type Change, type Context, momentOf, putRecord } from '../change'

export function named(found: readonly Episode[]): string {
  return found.length === 1 ? `“${found[0]?.title ?? ''}”` : `${found.length} ideas`
}

export function changedAll(
  records: Records,
  found: readonly Episode[],
  to: (e: Episode) => Episode,
  context: Context,
  sentence: string,
): Result<{ changes: Change[]; sentence: string; about: Id[] }> {
  if (found.length === 0) return refused('These ideas are no longer there.', 'episodes')
  return ok({
    changes: found.map((e) => putRecord(records, 'episodes', { ...to(e), updatedAt: momentOf(context) })),
    sentence,
    about: found.map((e) => e.id),
  })
}
