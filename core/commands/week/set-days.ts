import { hoursOn } from '../../plan/load'
import type { Day, PlannedBlock } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { type Command, momentOf, putRecord } from '../change'
import { freshSettings } from '../settings/fresh-settings'
import { todayOf } from '../step-of'

/**
 * Gives several days other hours at once: none when they are lost (what was laid there is free for other
 * days), more when an evening comes free; `undefined` takes their weekday's again.
 *
 * Refused:
 * - “Choose a day first.”
 */
export const setDays: Command<{ days: Day[]; minutes: number | undefined }> = (
  records,
  { days, minutes },
  context,
) => {
  if (days.length === 0) return refused('Choose a day first.', 'settings.exceptions')
  const at = momentOf(context)
  const today = todayOf(records, context)
  // What has passed stays as what was planned: from it is learnt how many days are lost.
  const free = (b: PlannedBlock) => b.day >= today && days.includes(b.day)
  const settings = records.settings.get('settings') ?? freshSettings(at)
  const others = Object.fromEntries(
    Object.entries(settings.exceptions).filter(([day]) => !days.includes(day)),
  )
  const exceptions =
    minutes === undefined ? others : { ...others, ...Object.fromEntries(days.map((day) => [day, minutes])) }
  const said = days.length === 1 ? sayDay(days[0] ?? '') : `${days.length} days`
  const freed =
    minutes !== 0
      ? []
      : [...records.steps.values()]
          .filter((s) => s.doneAt === undefined && s.blocks.some(free))
          .map((s) =>
            putRecord(records, 'steps', {
              ...s,
              blocks: s.blocks.filter((b) => !free(b)),
              updatedAt: at,
            }),
          )
  return ok({
    changes: [putRecord(records, 'settings', { ...settings, exceptions, updatedAt: at }), ...freed],
    sentence:
      minutes === undefined
        ? `${said} with the usual hours again`
        : minutes === 0
          ? `${said} lost`
          : `${said} with ${minutes} min`,
    about: [],
  })
}

/**
 * Gives several days so many minutes more than they have, each; at most the whole day. One step of undo.
 *
 * Refused:
 * - “Choose a day first.”
 */
export const moreOnDays: Command<{ days: Day[]; minutes: number }> = (
  records,
  { days, minutes },
  context,
) => {
  if (days.length === 0) return refused('Choose a day first.', 'settings.exceptions')
  const at = momentOf(context)
  const settings = records.settings.get('settings') ?? freshSettings(at)
  const exceptions = {
    ...settings.exceptions,
    ...Object.fromEntries(
      days.map((day) => [day, Math.max(0, Math.min(1440, hoursOn(settings, day) + Math.round(minutes)))]),
    ),
  }
  return ok({
    changes: [putRecord(records, 'settings', { ...settings, exceptions, updatedAt: at })],
    sentence: `${minutes} min more on ${days.map((d) => sayDay(d)).join(', ')}`,
    about: [],
  })
}
