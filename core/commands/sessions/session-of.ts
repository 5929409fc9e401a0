import type { Day, Id, Records, Session, Step } from '../../records'
import { refused, ok, type Result } from '../../result'
import { sayDay } from '../../rhythm/days'
import { momentOf, putRecord, type Change, type Context, type Outcome } from '../change'
import { stepOf, todayOf } from '../step-of'
import { laidAfter } from '../week/lay-on-day'

/** A session by its id. Refused when it is gone. */
export function sessionOf(records: Records, id: Id): Result<Session> {
  const session = records.sessions.get(id)
  return session ? ok(session) : refused('This session is no longer there.', 'sessions')
}

/** A session that runs. Refused when it is gone, or doesn't run. */
export function runningOf(
  records: Records,
  id: Id,
): Result<Session & { run: Extract<Session['run'], { kind: 'running' }> }> {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  const { run } = read.value
  return run.kind === 'running'
    ? ok({ ...read.value, run })
    : refused('This session is not running. Start it first.', 'sessions.run')
}

/** A session that has not begun. Refused when it is gone, or has. */
export function plannedOf(records: Records, id: Id): Result<Session> {
  const read = sessionOf(records, id)
  return !read.ok || read.value.run.kind === 'planned'
    ? read
    : refused('This session has begun; its day and its steps stay as they are.', 'sessions.run')
}

/** What a command of one session gives back. `about`: the episodes in whose history it stands. */
export function sessionDone(
  records: Records,
  session: Session,
  context: Context,
  sentence: string,
  more: { changes?: Change[]; about?: Id[]; merge?: string } = {},
): Result<Outcome> {
  return ok({
    changes: [
      putRecord(records, 'sessions', { ...session, updatedAt: momentOf(context) }),
      ...(more.changes ?? []),
    ],
    sentence,
    about: more.about ?? [],
    ...(more.merge === undefined ? {} : { merge: more.merge }),
  })
}

/** The episodes of some steps, each once. */
export function episodesOf(records: Records, steps: readonly Id[]): Id[] {
  return [...new Set(steps.flatMap((id) => records.steps.get(id)?.episode ?? []))]
}

/** The minutes that a step is laid with: what is left of it, at least a quarter of an hour. */
const laidMinutes = (step: Step) => Math.max(15, step.minutes - step.logged)

/**
 * Steps laid on a day, pinned there, off all other days to come. Refused for a day that has passed, for a step that is
 * gone or done, for one that is in another session, and for a day before one on which what it needs lies.
 */
export function laidTogether(
  records: Records,
  steps: readonly Id[],
  day: Day,
  session: Id,
  context: Context,
): Result<Change[]> {
  const today = todayOf(records, context)
  if (day < today) return refused(`${sayDay(day)} has passed. Choose today or a day to come.`, 'sessions.day')
  const changes: Change[] = []
  for (const id of steps) {
    const read = stepOf(records, id, context)
    if (!read.ok) return read
    const step = read.value
    if (step.doneAt !== undefined) return refused(`${step.name} is done already.`, 'sessions.steps')
    const other = [...records.sessions.values()].find(
      (s) => s.id !== session && s.run.kind !== 'struck' && s.steps.includes(id),
    )
    if (other)
      return refused(
        `${step.name} is in the session of ${sayDay(other.day)} already. Take it out there first.`,
        'sessions.steps',
      )
    const before = laidAfter(records, step, day, today, steps)
    if (before)
      return refused(
        `${step.name} needs ${before.name}, which lies on ${sayDay(before.day)}. Lay it then or later, or move ${before.name} first.`,
        'sessions.steps',
      )
    const past = step.blocks.filter((b) => b.day < today)
    const there = step.blocks.find((b) => b.day === day)
    const block = { ...there, day, minutes: laidMinutes(step), pinned: true }
    changes.push(
      putRecord(records, 'steps', { ...step, blocks: [...past, block], updatedAt: momentOf(context) }),
    )
  }
  return ok(changes)
}

/** Steps off the day of a session; the plan lays them again. */
export function takenOff(records: Records, steps: readonly Id[], day: Day, context: Context): Change[] {
  return steps.flatMap((id): Change[] => {
    const step = records.steps.get(id)
    if (!step?.blocks.some((b) => b.day === day) || step.doneAt !== undefined) return []
    const blocks = step.blocks.filter((b) => b.day !== day)
    return [putRecord(records, 'steps', { ...step, blocks, updatedAt: momentOf(context) })]
  })
}
