import type { Day, Id } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { dayAt, momentAt } from '../../rhythm/zone'
import { type Command, momentOf, putRecord } from '../change'
import { zoneOf } from '../step-of'

/**
 * Sets the day on which a step was done, for what was ticked a day late; the minutes worked on the day it
 * was ticked go with it. Refused for a day to come.
 *
 * Refused:
 * - “It is not done yet. Tick it first.”
 * - “That day is still to come. Choose one that has passed.”
 */
export const backdateStep: Command<{ step: Id; day: Day }> = (records, { step: id, day }, context) => {
  const step = records.steps.get(id)
  const zone = zoneOf(records)
  if (!step?.doneAt) return refused('It is not done yet. Tick it first.', 'steps.doneAt')
  if (day > dayAt(context.now, zone))
    return refused('That day is still to come. Choose one that has passed.', 'steps.doneAt')
  const was = dayAt(Date.parse(step.doneAt), zone)
  const { [was]: minutes, ...rest } = step.worked ?? {}
  const worked = minutes === undefined ? {} : { worked: { ...rest, [day]: (rest[day] ?? 0) + minutes } }
  return ok({
    changes: [
      putRecord(records, 'steps', {
        ...step,
        ...worked,
        doneAt: new Date(momentAt(day, '20:00', zone)).toISOString(),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `${step.name} was done ${sayDay(day)}`,
    about: [step.episode],
  })
}
