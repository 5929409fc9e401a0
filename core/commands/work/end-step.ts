import type { Day, Id, Step } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { momentAt } from '../../rhythm/zone'
import { type Command, momentOf, putRecord } from '../change'
import { stepOf, todayOf, zoneOf } from '../step-of'
import { timed, withMinutes } from './logged'

/**
 * Where a step that was not timed is said to have taken less or more than planned: the share of its
 * estimate.
 */
const shares = { shorter: 0.7, 'as planned': 1, longer: 1.4 } as const

/**
 * Ends a step now, or on a day that has passed. What was timed or typed counts as it is; `took` fills in
 * where nothing was. A timer on it stops. Refused for a day to come.
 *
 * Refused:
 * - “That day is still to come. Choose one that has passed.”
 * - and what `stepOf` refuses
 */
export const endStep: Command<{ step: Id; took: keyof typeof shares; day?: Day | undefined }> = (
  records,
  { step: id, took, day },
  context,
) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const today = todayOf(records, context)
  if (day !== undefined && day > today)
    return refused('That day is still to come. Choose one that has passed.', 'steps.doneAt')
  const { step, stopped } = timed(records, read.value, context)
  const back = day !== undefined && day < today
  const minutes = step.logged > 0 ? 0 : Math.max(1, Math.round(step.minutes * shares[took]))
  const ended: Step = {
    ...withMinutes(step, day ?? today, minutes),
    doneAt: back ? new Date(momentAt(day, '20:00', zoneOf(records))).toISOString() : momentOf(context),
    waiting: undefined,
    updatedAt: momentOf(context),
  }
  return ok({
    changes: [putRecord(records, 'steps', ended), ...stopped],
    sentence: `Done: ${step.name}, ${step.logged > 0 ? `${step.logged} min` : took}${back ? `, ${sayDay(day)}` : ''}`,
    about: [step.episode],
  })
}
