import type { Id } from '../../records'
import { ok } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepOf } from '../step-of'
import { timed } from './logged'

/**
 * Ticks a step done now, or takes the tick back; who waited no longer waits. A timer that runs on it stops,
 * its minutes logged; otherwise nothing is logged.
 *
 * Refused:
 * - and what `stepOf` refuses
 */
export const tickStep: Command<{ step: Id; done: boolean }> = (records, { step: id, done }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
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
