import { sum } from 'd3-array'
import type { Day, Id } from '../../records'
import { refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import type { Command } from '../change'
import { stepOf, todayOf } from '../step-of'
import { withBlock, written } from './blocks'

/**
 * Splits a block in two, the second half going to another day, where it joins what is there. Refused under
 * an hour.
 *
 * Refused:
 * - “Under an hour it is not worth splitting.”
 * - and what `stepOf` refuses
 */
export const splitBlock: Command<{ step: Id; day: Day; minutes: number; to: Day }> = (
  records,
  { step: id, day, minutes, to },
  context,
) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  if (minutes < 60) return refused('Under an hour it is not worth splitting.', 'steps.blocks')
  const first = Math.round(minutes / 2 / 15) * 15
  const rest = read.value.blocks.filter((b) => b.day !== day)
  return written(
    records,
    read.value,
    withBlock([...rest, { day, minutes: first, pinned: true }], to, minutes - first, true),
    context,
    `${read.value.name} split between ${sayDay(day)} and ${sayDay(to)}`,
  )
}

/**
 * Gathers all that is laid of a step from a day on into one block on it; it stays split nowhere. Refused
 * where it is in one piece.
 *
 * Refused:
 * - “It is in one piece already.”
 * - and what `stepOf` refuses
 */
export const joinBlocks: Command<{ step: Id; day: Day }> = (records, { step: id, day }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const today = todayOf(records, context)
  const mine = read.value.blocks.filter((b) => b.day >= today)
  if (mine.length < 2) return refused('It is in one piece already.', 'steps.blocks')
  const minutes = sum(mine, (b) => b.minutes)
  const at = mine.find((b) => b.day === day)?.at
  return written(
    records,
    read.value,
    [
      ...read.value.blocks.filter((b) => b.day < today),
      { day, minutes, pinned: true, ...(at === undefined ? {} : { at }) },
    ],
    context,
    `${read.value.name} in one piece on ${sayDay(day)}`,
  )
}
