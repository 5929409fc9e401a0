import type { Day, Id } from '../../records'
import type { Command } from '../change'
import { over } from './changed-step'

/** Lets a step wait on someone from a date, or ends the waiting. */
export const waitStep: Command<{
  step: Id
  waiting: { who: string; what: string; since: Day; nudge?: number | undefined } | undefined
}> = (records, { step, waiting }, context) =>
  over(
    records,
    step,
    (s) => ({ ...s, waiting }),
    context,
    (s) => (waiting ? `${s.name} waits on ${waiting.who}` : `${s.name} waits no longer`),
  )
