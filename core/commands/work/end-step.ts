import { isLook } from '../../edit/rounds'
import { workedSince } from '../../plan/worked'
import type { Day, Id, Records, Step } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { momentAt } from '../../rhythm/zone'
import { sayMinutes } from '../../script/timecode'
import { type Command, type Context, momentOf, putRecord } from '../change'
import { stepOf, todayOf, zoneOf } from '../step-of'
import { endsWithRound, timed, withMinutes } from './logged'

/**
 * Where a step that was not timed is said to have taken less or more than planned: the share of its
 * estimate.
 */
const shares = { shorter: 0.7, 'as planned': 1, longer: 1.4 } as const

/** Minutes that were worked on a day in all, and how many of it have passed; both with what a command adds to it. */
function clockOf(
  records: Records,
  { day, minutes }: { day: Day; minutes: number },
  context: Context,
): string {
  const zone = zoneOf(records)
  const all = (workedSince(records.steps.values(), zone, day).minutes.get(day) ?? 0) + minutes
  const isToday = day === todayOf(records, context)
  const passed = isToday ? Math.ceil((context.now - momentAt(day, '00:00', zone)) / 60_000) : 24 * 60
  return all <= passed
    ? ''
    : `. That makes ${sayMinutes(all)} worked on ${sayDay(day)}, more than the day has had`
}

/**
 * Ends a step now, or on a day that has passed; with `part` so many minutes of it alone, and the rest is still to do. What
 * was timed or typed on that day counts as it is; `took` fills in what is left of it, or of the part, where nothing was. A
 * timer on it stops. More than the day has had so far is said. Refused for a day to come.
 *
 * Refused:
 * - “… ends when you approve the cut or ask for another.”
 * - “That day is still to come. Choose one that has passed.”
 * - and what `stepOf` refuses
 */
export const endStep: Command<{
  step: Id
  took: keyof typeof shares
  day?: Day | undefined
  part?: number | undefined
}> = (records, { step: id, took, day, part }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  if (part === undefined && isLook(id)) return refused(endsWithRound(read.value), 'steps.doneAt')
  const today = todayOf(records, context)
  if (day !== undefined && day > today)
    return refused('That day is still to come. Choose one that has passed.', 'steps.doneAt')
  const { step, ran, stopped } = timed(records, read.value, context)
  const on = day ?? today
  const back = on < today
  const isKnown = ran > 0 || (step.worked?.[on] ?? 0) > 0
  const rest = part ?? (step.minutes > step.logged ? step.minutes - step.logged : 0)
  const minutes = isKnown ? 0 : Math.max(step.logged > 0 ? 0 : 1, Math.round(rest * shares[took]))
  const worked = withMinutes(step, on, minutes)
  const ended: Step = {
    ...worked,
    ...(part === undefined
      ? {
          doneAt: back ? new Date(momentAt(on, '20:00', zoneOf(records))).toISOString() : momentOf(context),
          waiting: undefined,
        }
      : {}),
    updatedAt: momentOf(context),
  }
  const said = part === undefined ? step.name : `${sayMinutes(worked.logged)} of ${step.name}`
  const how = isKnown ? sayMinutes(step.logged) : took
  const added = worked.logged - read.value.logged
  return ok({
    changes: [putRecord(records, 'steps', ended), ...stopped],
    sentence: `Done: ${said}, ${how}${back ? `, ${sayDay(on)}` : ''}${clockOf(records, { day: on, minutes: added }, context)}`,
    about: [step.episode],
  })
}
