import { hoursOn } from '../../plan/load'
import { agreedOn } from '../../partners/visits'
import type { Day, PlannedBlock, Step } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { type Command, momentOf, putRecord } from '../change'
import { freshSettings } from '../settings/fresh-settings'
import { lostOn } from '../settings/lost-days'
import { todayOf } from '../step-of'

/**
 * Gives several days other hours at once: none when they are lost (what was laid there is free for other
 * days, but for what is agreed with others, which is named), more when an evening comes free; `undefined` takes their
 * weekday's again.
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
  const lost = minutes === 0 ? days.filter((day) => hoursOn(settings, day) > 0) : []
  const given = minutes === 0 ? [] : days
  const agreed = minutes === 0 ? agreedOn(records, days, today) : []
  const kept = new Set(agreed.map((a) => `${a.step.id} ${a.day}`))
  const frees = (s: Step) => (b: PlannedBlock) => free(b) && !kept.has(`${s.id} ${b.day}`)
  const said = days.length === 1 ? sayDay(days[0] ?? '') : `${days.length} days`
  const freed =
    minutes !== 0
      ? []
      : [...records.steps.values()]
          .filter((s) => s.doneAt === undefined && s.blocks.some(frees(s)))
          .map((s) =>
            putRecord(records, 'steps', {
              ...s,
              blocks: s.blocks.filter((b) => !frees(s)(b)),
              updatedAt: at,
            }),
          )
  return ok({
    changes: [
      putRecord(records, 'settings', {
        ...settings,
        exceptions,
        lostOn: lostOn(settings, { lost, given }, today),
        updatedAt: at,
      }),
      ...freed,
    ],
    sentence:
      minutes === undefined
        ? `${said} with the usual hours again`
        : minutes === 0
          ? [
              `${said} lost`,
              ...agreed.map((a) => `${a.guest} is still expected ${sayDay(a.day)}, ${a.at}`),
            ].join('. ')
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
