import { inOrder } from '../../recipe/needs'
import type { Id, Step } from '../../records'
import { ok } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepsOf } from '../of-episode'
import { stepOf } from '../step-of'

/**
 * Changes who does a step, its lead or its earliest date for one episode alone.
 *
 * Refused:
 * - and what `stepOf`, `inOrder` refuse
 */
export const editStep: Command<{
  step: Id
  fields: Partial<Pick<Step, 'name' | 'minutes' | 'lead' | 'earliest' | 'required' | 'owner' | 'needs'>>
}> = (records, { step: id, fields }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const step = read.value
  const next: Step = { ...step, ...fields }
  const order = inOrder([...stepsOf(records, step.episode).filter((s) => s.id !== id), next])
  if (!order.ok) return order
  return ok({
    changes: [putRecord(records, 'steps', { ...next, updatedAt: momentOf(context) })],
    sentence: `Changed the step “${next.name}”`,
    about: [step.episode],
    merge: `step ${id} ${Object.keys(fields).join()}`,
  })
}
