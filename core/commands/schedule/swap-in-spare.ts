import { titleOf } from '../../release/parts'
import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { withChanges, merged, type Command } from '../change'
import { placeOnSlot } from './place-on-slot'
import { takeOff } from './take-off'

/**
 * Puts a spare on the slot of an episode that would miss it; that one stays in work without a date. One step.
 *
 * Refused:
 * - “It is on no slot that a spare could take.”
 * - and what `takeOff`, `placeOnSlot` refuse
 */
export const swapInSpare: Command<{ episode: Id; spare: Id }> = (
  records,
  { episode: id, spare },
  context,
) => {
  const episode = records.episodes.get(id)
  if (episode?.phase.kind !== 'work' || episode.place.kind !== 'slot')
    return refused('It is on no slot that a spare could take.', 'episodes.place')
  const off = takeOff(records, { episode: id }, context)
  if (!off.ok) return off
  const free = withChanges(records, off.value.changes)
  const on = placeOnSlot(free, { episode: spare, day: episode.place.day }, context)
  if (!on.ok) return on
  return ok({
    ...on.value,
    changes: merged(off.value.changes, on.value.changes),
    sentence: `${on.value.sentence}, in place of “${titleOf(episode)}”`,
    about: [id, spare],
  })
}
