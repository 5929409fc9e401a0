import type { Day, Id, PlannedBlock } from '../../records'
import { ok, refused } from '../../result'
import { type Change, type Command, momentOf, putRecord } from '../change'
import { stepOf, todayOf } from '../step-of'
import { withBlock } from './blocks'

/**
 * Takes a proposed plan, whole or in part: the blocks of these steps in place of those that lie loose from
 * today on; pinned ones stay and what is added to their day joins them, past ones stay as what was planned.
 * One step of undo. Refused when none of the steps is there any more.
 *
 * Refused:
 * - “Nothing of this plan can be taken any more; plan anew.”
 */
export const takePlan: Command<{ blocks: { id: Id; day: Day; minutes: number }[] }> = (
  records,
  { blocks },
  context,
) => {
  const today = todayOf(records, context)
  const by = new Map<Id, { day: Day; minutes: number }[]>()
  for (const b of blocks) by.set(b.id, [...(by.get(b.id) ?? []), b])
  const changes: Change[] = []
  for (const [id, mine] of by) {
    const read = stepOf(records, id, context)
    if (!read.ok) continue
    const step = read.value
    const kept = step.blocks.filter((b) => b.pinned || b.day < today)
    changes.push(
      putRecord(records, 'steps', {
        ...step,
        blocks: mine
          .reduce<PlannedBlock[]>((all, b) => withBlock(all, b.day, b.minutes, false), kept)
          .sort((a, b) => (a.day < b.day ? -1 : 1)),
        updatedAt: momentOf(context),
      }),
    )
  }
  return changes.length === 0
    ? refused('Nothing of this plan can be taken any more; plan anew.', 'steps')
    : ok({
        changes,
        sentence: `Took the plan for ${changes.length} ${changes.length === 1 ? 'step' : 'steps'}`,
        about: [],
      })
}
