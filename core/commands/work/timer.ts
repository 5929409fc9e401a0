import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepOf } from '../step-of'
import { ranFor, settingsOf, timed } from './logged'

/**
 * Starts a step's timer; the one that runs is stopped first and its minutes logged: one runs at a time.
 * Refused for a step that is gone, and for the one that runs already, which goes on.
 *
 * Refused:
 * - “… is running already.”
 * - and what `stepOf` refuses
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
    ? [putRecord(records, 'steps', { ...timed(records, before, context).step, updatedAt: at })]
    : []
  return ok({
    changes: [
      ...stopped,
      ...(records.steps.has(id) ? [] : [putRecord(records, 'steps', read.value)]),
      putRecord(records, 'settings', { ...settings, running: { step: id, since: at }, updatedAt: at }),
    ],
    sentence: `Started: ${read.value.name}`,
    about: [read.value.episode],
  })
}

/**
 * Stops the timer and logs its minutes. Refused when none runs.
 *
 * Refused:
 * - “No step is running.”
 */
export const stopStep: Command<object> = (records, _wish, context) => {
  const settings = records.settings.get('settings')
  if (!settings?.running) return refused('No step is running.', 'settings.running')
  const step = records.steps.get(settings.running.step)
  const at = momentOf(context)
  return ok({
    changes: [
      ...(step
        ? [putRecord(records, 'steps', { ...timed(records, step, context).step, updatedAt: at })]
        : []),
      putRecord(records, 'settings', { ...settings, running: undefined, updatedAt: at }),
    ],
    sentence: `Stopped: ${step?.name ?? 'a step'}, ${ranFor(settings.running.since, context.now)} min`,
    about: step ? [step.episode] : [],
  })
}
