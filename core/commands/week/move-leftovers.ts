import { sum } from 'd3-array'
import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Change, type Command, momentOf, putRecord } from '../change'
import { withBlock } from './blocks'
import { todayOf } from '../step-of'

/**
 * Brings what was laid on past days and not done onto today, in one move.
 *
 * Refused:
 * - “Nothing is left over.”
 */
export const moveLeftoversToToday: Command<{ steps: Id[] }> = (records, { steps }, context) => {
  const today = todayOf(records, context)
  const changes = steps.flatMap((id): Change[] => {
    const step = records.steps.get(id)
    const past = step?.blocks.filter((b) => b.day < today && !b.missed) ?? []
    if (!step || past.length === 0) return []
    // Not more on today than is left to do, with what lies there already.
    const left = Math.max(15, step.minutes - step.logged)
    const lies = step.blocks.find((b) => b.day === today)?.minutes ?? 0
    const minutes = Math.max(
      0,
      Math.min(
        sum(past, (b) => b.minutes),
        left - lies,
      ),
    )
    return [
      putRecord(records, 'steps', {
        ...step,
        blocks: withBlock(
          step.blocks.map((b) => (b.day < today ? { ...b, missed: true } : b)),
          today,
          minutes,
          true,
        ).sort((a, b) => (a.day < b.day ? -1 : 1)),
        updatedAt: momentOf(context),
      }),
    ]
  })
  return changes.length === 0
    ? refused('Nothing is left over.', 'steps.blocks')
    : ok({
        changes,
        sentence: `Brought ${changes.length === 1 ? 'one step' : `${changes.length} steps`} onto today`,
        about: [],
      })
}
