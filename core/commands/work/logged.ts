import type { Day, Records, Settings, Step } from '../../records'
import { type Change, type Context, momentOf, putRecord } from '../change'
import { freshSettings } from '../settings/fresh-settings'
import { todayOf } from '../step-of'

/** Longest stretch that a timer logs by itself; what ran longer was forgotten. */
const longest = 6 * 60

/** Most minutes that a step keeps. */
export const most = 6000

/** The minutes that the timer has run; at most six hours, since more was forgotten. */
export function ranFor(since: string, now: number): number {
  return Math.max(0, Math.min(longest, Math.round((now - Date.parse(since)) / 60_000)))
}

export function settingsOf(records: Records, context: Context): Settings {
  return records.settings.get('settings') ?? freshSettings(momentOf(context))
}

/** A step with some more minutes worked on a day. */
export function withMinutes(step: Step, day: Day, minutes: number): Step {
  return minutes <= 0
    ? step
    : {
        ...step,
        logged: Math.min(most, step.logged + minutes),
        worked: { ...step.worked, [day]: (step.worked?.[day] ?? 0) + minutes },
      }
}

/** A step with what its timer has run, if it runs on it, and the change that stops the timer. */
export function timed(
  records: Records,
  step: Step,
  context: Context,
): { step: Step; ran: number; stopped: Change[] } {
  const settings = records.settings.get('settings')
  if (!settings || settings.running?.step !== step.id) return { step, ran: 0, stopped: [] }
  const ran = ranFor(settings.running.since, context.now)
  return {
    step: withMinutes(step, todayOf(records, context), ran),
    ran,
    stopped: [
      putRecord(records, 'settings', { ...settings, running: undefined, updatedAt: momentOf(context) }),
    ],
  }
}

/** Why a look at what came back is not ended by a tick. */
export const endsWithRound = ({ name }: Pick<Step, 'name'>): string =>
  `${name} ends when you approve the cut or ask for another.`
