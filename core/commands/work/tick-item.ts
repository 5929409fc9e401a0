import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { recipeFor } from '../of-episode'

/**
 * Ticks an item of a checklist for one episode, or takes the tick back. Refused when no checklist of its
 * recipe has the item.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “This item is no longer in the checklist.”
 */
export const tickItem: Command<{ episode: Id; item: Id; on: boolean }> = (
  records,
  { episode: id, item, on },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const lists = recipeFor(records, episode)?.checklists ?? []
  if (!lists.some((l) => l.items.some((i) => i.id === item)))
    return refused('This item is no longer in the checklist.', 'episodes.ticked')
  const ticked = (episode.ticked ?? []).filter((t) => t !== item)
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        ticked: on ? [...ticked, item] : ticked,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: on ? 'Ticked an item of a checklist' : 'Took back the tick of an item',
    about: [id],
  })
}
