import type { Id } from '../../records'
import { ok } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepOf } from '../step-of'

/**
 * Hands a step to someone, or takes it back.
 *
 * Refused:
 * - and what `stepOf` refuses
 */
export const handStep: Command<{ step: Id; owner: string }> = (records, { step: id, owner }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const name = owner.trim() || 'me'
  return ok({
    changes: [putRecord(records, 'steps', { ...read.value, owner: name, updatedAt: momentOf(context) })],
    sentence: name === 'me' ? `${read.value.name} is yours again` : `Handed ${read.value.name} to ${name}`,
    about: [read.value.episode],
  })
}
