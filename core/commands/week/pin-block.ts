import type { Day, Id } from '../../records'
import { sayDay } from '../../rhythm/days'
import type { Command } from '../change'
import { stepOf } from '../step-of'
import { written } from './blocks'

/** Pins a block to its day, or lets planning move it again. */
export const pinBlock: Command<{ step: Id; day: Day; pinned: boolean }> = (
  records,
  { step: id, day, pinned },
  context,
) => {
  const read = stepOf(records, id, context)
  return read.ok
    ? written(
        records,
        read.value,
        read.value.blocks.map((b) => (b.day === day ? { ...b, pinned } : b)),
        context,
        `${read.value.name} ${pinned ? 'pinned to' : 'free to move from'} ${sayDay(day)}`,
      )
    : read
}
