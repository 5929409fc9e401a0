import type { Id } from '../../records'
import { titleOf } from '../../release/parts'
import { sayDay } from '../../rhythm/days'
import type { Command } from '../change'
import { moved, pushed } from './moved'

/**
 * Pushes an episode and all in a row behind it one slot later, up to the next open slot.
 *
 * Refused:
 * - and what `pushed` refuses
 */
export const pushEpisode: Command<{ episode: Id }> = (records, { episode }, context) => {
  const moves = pushed(records, episode, context.now)
  if (!moves.ok) return moves
  const first = moves.value[0]
  return moved(
    records,
    moves.value,
    context,
    `Pushed “${first ? titleOf(first.episode) : ''}” to ${sayDay(first?.to.day ?? '')}${moves.value.length > 1 ? `, ${moves.value.length - 1} more one slot later` : ''}`,
  )
}
