import type { Day, Id, Records, Settings, Step } from '../records'
import { fine, refused } from '../result'
import { sayDay } from '../rhythm/days'
import { momentAt } from '../rhythm/zone'
import { workedByDay } from '../plan/worked'
import { momentOf, putting, type Change, type Command, type Context } from './change'
import { freshSettings } from './settings'
import { stepOf, todayOf, zoneOf } from './step-of'

/** Longest stretch that a timer logs by itself; what ran longer was forgotten. */
const longest = 6 * 60
/** Most minutes that a step keeps. */
const most = 6000

/** The minutes that the timer has run; at most six hours, since more was forgotten. */
export function ranFor(since: string, now: number): number {
  return Math.max(0, Math.min(longest, Math.round((now - Date.parse(since)) / 60_000)))
}

function settingsOf(records: Records, context: Context): Settings {
  return records.settings.get('settings') ?? freshSettings(momentOf(context))
}

/** A step with some more minutes worked on a day. */
function withMinutes(step: Step, day: Day, minutes: number): Step {
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
      putting(records, 'settings', { ...settings, running: undefined, updatedAt: momentOf(context) }),
    ],
  }
}

/**
 * Starts a step's timer; the one that runs is stopped first and its minutes logged: one runs at a time.
 * Refused for a step that is gone, and for the one that runs already, which goes on.
 */
export const startStep: Command<{ step: Id }> = (records, { step: id }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const at = momentOf(context)
  const settings = settingsOf(records, context)
  const { running } = settings
  if (running?.step === id) return refused(`${read.value.name} is running already.`, 'settings.running')
  const before = running && records.steps.get(running.step)
  const stopped = before
    ? [putting(records, 'steps', { ...timed(records, before, context).step, updatedAt: at })]
    : []
  return fine({
    changes: [
      ...stopped,
      ...(records.steps.has(id) ? [] : [putting(records, 'steps', read.value)]),
      putting(records, 'settings', { ...settings, running: { step: id, since: at }, updatedAt: at }),
    ],
    sentence: `Started: ${read.value.name}`,
    about: [read.value.episode],
  })
}

/** Stops the timer and logs its minutes. Refused when none runs. */
export const stopStep: Command<object> = (records, _wish, context) => {
  const settings = records.settings.get('settings')
  if (!settings?.running) return refused('No step is running.', 'settings.running')
  const step = records.steps.get(settings.running.step)
  const at = momentOf(context)
  return fine({
    changes: [
      ...(step ? [putting(records, 'steps', { ...timed(records, step, context).step, updatedAt: at })] : []),
      putting(records, 'settings', { ...settings, running: undefined, updatedAt: at }),
    ],
    sentence: `Stopped: ${step?.name ?? 'a step'}, ${ranFor(settings.running.since, context.now)} min`,
    about: step ? [step.episode] : [],
  })
}

/**
 * Where a step that was not timed is said to have taken less or more than planned: the share of its
 * estimate.
 */
const shares = { shorter: 0.7, 'as planned': 1, longer: 1.4 } as const

/**
 * Ends a step now, or on a day that has passed. What was timed or typed counts as it is; `took` fills in
 * where nothing was. A timer on it stops. Refused for a day to come.
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
  return fine({
    changes: [putting(records, 'steps', ended), ...stopped],
    sentence: `Done: ${step.name}, ${step.logged > 0 ? `${step.logged} min` : took}${back ? `, ${sayDay(day)}` : ''}`,
    about: [step.episode],
  })
}

/**
 * Corrects what was worked on a step, done or not: on one day, or in all, what is more or less then going
 * to the last day that has any (today where none has). Refused for more than a hundred hours.
 */
export const correctLog: Command<{ step: Id; minutes: number; day?: Day | undefined }> = (
  records,
  { step: id, minutes, day },
  context,
) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const step = read.value
  const wanted = Math.max(0, Math.round(minutes))
  if (!Number.isFinite(wanted) || wanted > most)
    return refused(`A step has at most ${most / 60} hours. Type its minutes.`, 'steps.logged')
  const worked = Object.fromEntries(workedByDay(step, zoneOf(records)))
  const known = Object.values(worked).reduce((a, b) => a + b, 0)
  if (day !== undefined) worked[day] = wanted
  else {
    const days = Object.keys(worked).sort()
    let more = wanted - Math.max(known, step.logged)
    const last = days.at(-1) ?? todayOf(records, context)
    if (more >= 0) worked[last] = (worked[last] ?? 0) + more
    for (const d of days.reverse()) {
      if (more >= 0) break
      const less = Math.min(worked[d] ?? 0, -more)
      worked[d] = (worked[d] ?? 0) - less
      more += less
    }
  }
  const kept = Object.fromEntries(Object.entries(worked).filter(([, m]) => m > 0))
  const before = Math.max(0, step.logged - known)
  const logged = day === undefined ? wanted : before + Object.values(kept).reduce((a, b) => a + b, 0)
  return fine({
    changes: [
      putting(records, 'steps', {
        ...step,
        logged: Math.min(most, logged),
        worked: kept,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `${step.name}: ${wanted} min worked${day === undefined ? '' : ` on ${sayDay(day)}`}`,
    about: [step.episode],
    merge: `log ${id} ${day ?? ''}`,
  })
}

/** Hands a step to someone, or takes it back. */
export const handStep: Command<{ step: Id; owner: string }> = (records, { step: id, owner }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const name = owner.trim() || 'me'
  return fine({
    changes: [putting(records, 'steps', { ...read.value, owner: name, updatedAt: momentOf(context) })],
    sentence: name === 'me' ? `${read.value.name} is yours again` : `Handed ${read.value.name} to ${name}`,
    about: [read.value.episode],
  })
}
