import type { Day, Id } from '../../records'
import { titleOf } from '../../release/parts'
import { refused } from '../../result'
import { slotsOf } from '../../rhythm/slots'
import type { Command } from '../change'
import { moved, onSlot } from './moved'

/**
 * Swaps the slots of two episodes of one show.
 *
 * Refused:
 * - “They belong to different shows, each with its own rhythm.”
 * - “One of the slots is no longer there.”
 */
export const swapEpisodes: Command<{ episode: Id; other: Id }> = (records, { episode, other }, context) => {
  const [a, b] = [onSlot(records, episode), onSlot(records, other)]
  if (!a.ok) return a
  if (!b.ok) return b
  if (a.value.show.id !== b.value.show.id)
    return refused('They belong to different shows, each with its own rhythm.', 'episodes.place')
  const slot = (day: Day) => slotsOf(a.value.show, day, day)[0]
  const [toA, toB] = [slot(b.value.day), slot(a.value.day)]
  if (!toA || !toB) return refused('One of the slots is no longer there.', 'episodes.place')
  return moved(
    records,
    [
      { episode: a.value.episode, to: toA },
      { episode: b.value.episode, to: toB },
    ],
    context,
    `Swapped “${titleOf(a.value.episode)}” and “${titleOf(b.value.episode)}”`,
  )
}
