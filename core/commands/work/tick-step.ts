import type { Id } from '../../records'
import { isLook } from '../../edit/rounds'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepOf } from '../step-of'
import { endsWithRound, timed } from './logged'

/**
 * Ticks a step done now, or takes the tick back; who waited no longer waits. A timer that runs on it stops,
 * its minutes logged; otherwise nothing is logged.
 *
 * Refused:
 * - “… ends when you approve the cut or ask for another.”
 * - and what `stepOf` refuses
 */
export const tickStep: Command<{ step: Id; done: boolean }> = (records, { step: id, done }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  if (done && isLook(id)) return refused(endsWithRound(read.value), 'steps.doneAt')
  const { step, stopped } = done ? timed(records, read.value, context) : { step: read.value, stopped: [] }
  const at = momentOf(context)
  return ok({
    changes: [
      putRecord(records, 'steps', {
        ...step,
        doneAt: done ? at : undefined,
        waiting: done ? undefined : step.waiting,
        updatedAt: at,
      }),
      ...stopped,
    ],
    sentence: `${done ? 'Done' : 'Not done after all'}: ${step.name}`,
    about: [step.episode],
  })
}
