import type { Day, Id } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { type Change, type Command, momentOf, putRecord } from '../change'
import { stepOf } from '../step-of'

/**
 * Lays the blocks of a day in an order. What was only the plan's is laid there by it; what has a clock time
 * is shown by that.
 *
 * Refused:
 * - “They are in this order already.”
 */
export const orderDay: Command<{ day: Day; row: { step: Id; minutes: number }[] }> = (
  records,
  { day, row },
  context,
) => {
  const changes = row.flatMap(({ step: id, minutes }, i): Change[] => {
    const read = stepOf(records, id, context)
    if (!read.ok) return []
    const step = read.value
    const there = step.blocks.find((b) => b.day === day) ?? { day, minutes, pinned: false }
    return there.place === i && step.blocks.includes(there)
      ? []
      : [
          putRecord(records, 'steps', {
            ...step,
            blocks: [...step.blocks.filter((b) => b.day !== day), { ...there, place: i }].sort((a, b) =>
              a.day < b.day ? -1 : 1,
            ),
            updatedAt: momentOf(context),
          }),
        ]
  })
  return changes.length === 0
    ? refused('They are in this order already.', 'steps.blocks')
    : ok({ changes, sentence: `Changed the order of ${sayDay(day)}`, about: [] })
}
