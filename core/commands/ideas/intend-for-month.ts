import { sayMonth } from '../../ideas/usable'
import type { Id } from '../../records'
import type { Command } from '../change'
import { todayOf } from '../step-of'
import { changedAll, named } from './changed-all'
import { withIdea } from './with-idea'

/** Means ideas for a month, or for none. */
export const intendForMonth: Command<{ episodes: Id[]; month: string | undefined }> = (
  records,
  { episodes, month },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  return changedAll(
    records,
    found,
    (e) => withIdea(e, { meant: month }),
    context,
    month === undefined
      ? `Took ${named(found)} off its month`
      : `Meant ${named(found)} for ${sayMonth(month, todayOf(records, context))}`,
  )
}
