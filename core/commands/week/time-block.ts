import type { Day, Id } from '../../records'
import { sayDay } from '../../rhythm/days'
import type { Command } from '../change'
import { stepOf } from '../step-of'
import { written } from './blocks'

/**
 * Gives a block a clock time on its day (a guest at 15:00), or none. It is pinned by it; what was not laid
 * yet is laid.
 *
 * Refused:
 * - and what `stepOf` refuses
 */
export const timeBlock: Command<{ step: Id; day: Day; minutes: number; at: string | undefined }> = (
  records,
  { step: id, day, minutes, at },
  context,
) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const { blocks } = read.value
  const there = blocks.find((b) => b.day === day) ?? { day, minutes, pinned: true }
  return written(
    records,
    read.value,
    [...blocks.filter((b) => b.day !== day), { ...there, pinned: true, at }],
    context,
    at === undefined
      ? `${read.value.name} at no particular time`
      : `${read.value.name} on ${sayDay(day)} at ${at}`,
  )
}
