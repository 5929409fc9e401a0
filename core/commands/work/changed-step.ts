import type { Id, Records, Step } from '../../records'
import { type Result, ok } from '../../result'
import { type Context, type Outcome, momentOf, putRecord } from '../change'
import { stepOf } from '../step-of'

export function over(
  records: Records,
  id: Id,
  to: (step: Step) => Step,
  context: Context,
  sentence: (step: Step) => string,
): Result<Outcome> {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const step = read.value
  return ok({
    changes: [putRecord(records, 'steps', { ...to(step), updatedAt: momentOf(context) })],
    sentence: sentence(step),
    about: [step.episode],
  })
}
