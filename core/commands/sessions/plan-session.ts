import type { Day, Id, Session, SessionKind } from '../../records'
import { refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { sessionKinds } from '../../session/kinds'
import { merged, momentOf, removeRecord, withChanges, type Change, type Command } from '../change'
import { ok } from '../../result'
import { episodesOf, laidTogether, plannedOf, sessionDone, sessionOf, takenOff } from './session-of'

/**
 * Plans a session of some steps, or of so many minutes, on a day: its steps are laid there, pinned, as one block.
 *
 * Refused:
 * - “Choose what goes into the session.”
 * - and what `laidTogether` refuses
 */
export const planSession: Command<{
  id: Id
  kind: SessionKind
  day: Day
  steps: readonly Id[]
  minutes?: number | undefined
}> = (records, { id, kind, day, steps, minutes }, context) => {
  if (steps.length === 0 && minutes === undefined)
    return refused('Choose what goes into the session.', 'sessions.steps')
  const laid = laidTogether(records, steps, day, id, context)
  if (!laid.ok) return laid
  const at = momentOf(context)
  const session: Session = {
    id,
    kind,
    day,
    steps: [...steps],
    ...(minutes === undefined ? {} : { minutes }),
    behind: {},
    order: [],
    put: [],
    shots: [],
    checked: [],
    stretches: [],
    run: { kind: 'planned' },
    createdAt: at,
    updatedAt: at,
  }
  return sessionDone(records, session, context, `${sessionKinds[kind].name} laid on ${sayDay(day)}`, {
    changes: laid.value,
    about: episodesOf(records, steps),
  })
}

/**
 * Moves a session that has not begun to another day, with all that lies on its day of it.
 *
 * Refused:
 * - and what `plannedOf` and `laidTogether` refuse
 */
export const moveSession: Command<{ session: Id; day: Day }> = (records, { session: id, day }, context) => {
  const read = plannedOf(records, id)
  if (!read.ok) return read
  const session = read.value
  const steps = session.steps.filter((s) => {
    const step = records.steps.get(s)
    return step?.doneAt === undefined && (step?.blocks.some((b) => b.day === session.day) ?? false)
  })
  const laid = laidTogether(records, steps, day, id, context)
  if (!laid.ok) return laid
  return sessionDone(
    records,
    { ...session, day },
    context,
    `${sessionKinds[session.kind].name} moved to ${sayDay(day)}`,
    {
      changes: laid.value,
      about: episodesOf(records, steps),
    },
  )
}

/**
 * Says which steps are done in a session that has not begun: new ones are laid on its day, those left out are taken off.
 *
 * Refused:
 * - “A session without steps is nothing to go to. Take it off its day instead.”
 * - and what `plannedOf` and `laidTogether` refuse
 */
export const changeSteps: Command<{ session: Id; steps: readonly Id[] }> = (
  records,
  { session: id, steps },
  context,
) => {
  const read = plannedOf(records, id)
  if (!read.ok) return read
  const session = read.value
  if (steps.length === 0 && session.minutes === undefined)
    return refused(
      'A session without steps is nothing to go to. Take it off its day instead.',
      'sessions.steps',
    )
  const off = takenOff(
    records,
    session.steps.filter((s) => !steps.includes(s)),
    session.day,
    context,
  )
  const open = steps.filter((s) => records.steps.get(s)?.doneAt === undefined)
  const laid = laidTogether(withChanges(records, off), open, session.day, id, context)
  if (!laid.ok) return laid
  const about = episodesOf(records, [...session.steps, ...steps])
  return sessionDone(
    records,
    { ...session, steps: [...steps] },
    context,
    'Changed what goes into the session',
    {
      changes: merged(off, laid.value),
      about,
    },
  )
}

/**
 * Says when a session begins, when its light ends, or how long it is.
 *
 * Refused:
 * - and what `sessionOf` refuses
 */
export const editSession: Command<{
  session: Id
  to: Partial<Pick<Session, 'at' | 'light' | 'minutes'>>
}> = (records, { session: id, to }, context) => {
  const read = sessionOf(records, id)
  return read.ok
    ? sessionDone(records, { ...read.value, ...to }, context, 'Changed when the session is', {
        merge: `session ${id} ${Object.keys(to).join(' ')}`,
      })
    : read
}

/**
 * Takes a session away. What of it lies on its day is taken off, as long as the session has not begun; what was got
 * stays got.
 *
 * Refused:
 * - and what `sessionOf` refuses
 */
export const removeSession: Command<{ session: Id }> = (records, { session: id }, context) => {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  const session = read.value
  const off: Change[] =
    session.run.kind === 'struck' ? [] : takenOff(records, session.steps, session.day, context)
  return ok({
    changes: [removeRecord(records, 'sessions', id), ...off],
    sentence: `Took the session off ${sayDay(session.day)}`,
    about: episodesOf(records, session.steps),
  })
}
