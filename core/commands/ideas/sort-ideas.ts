import type { Id, IdeaStanding } from '../../records'
import type { Command } from '../change'
import { changedAll, named } from './changed-all'
import { standingNames } from './standing-names'
import { withIdea } from './with-idea'

/** Sorts ideas: next, promising, some day, or unsorted again. A rest ends with it. */
export const sortIdeas: Command<{ episodes: Id[]; standing: IdeaStanding }> = (
  records,
  { episodes, standing },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  return changedAll(
    records,
    found,
    (e) => withIdea(e, { standing, restUntil: undefined }),
    context,
    `Sorted ${named(found)} as ${standingNames[standing]}`,
  )
}
