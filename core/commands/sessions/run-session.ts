import type { Id, Records, Session, Stretch } from '../../records'
import { recipeFor } from '../of-episode'
import { refused } from '../../result'
import { checksBefore } from '../../session/checks'
import { endOf, sessionKinds, setUpKind } from '../../session/kinds'
import { momentOf, type Command, type Context } from '../change'
import { settingsOf } from '../work/logged'
import { keptAt } from './in-hand'
import { episodesOf, runningOf, sessionDone, sessionOf } from './session-of'

const name = (s: Session) => sessionKinds[s.kind].name

/** What a session is once its first thing is in hand; `begun` is when setting up was begun. */
function rolling(session: Session, order: readonly Id[], first: Id, begun: string, at: string): Session {
  return { ...session, order: [...order], run: { kind: 'running', begun, rolled: at, at: first, since: at } }
}

/**
 * Begins a session: setting up runs from now. Work at the desk that needs none goes on to the first of its `order` at
 * once.
 *
 * Refused:
 * - “This session has begun already.”
 * - and what `sessionOf` refuses
 */
export const beginSession: Command<{ session: Id; order?: readonly Id[] }> = (
  records,
  { session: id, order = [] },
  context,
) => {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  if (read.value.run.kind !== 'planned') return refused('This session has begun already.', 'sessions.run')
  const session = read.value
  const begun = momentOf(context)
  const about = episodesOf(records, session.steps)
  const [first] = order
  const counted = settingsOf(records, context).setup[setUpKind(session.kind)] ?? 0
  if (endOf(session.kind).end === 'end' && counted === 0 && first !== undefined)
    return sessionDone(
      records,
      rolling(session, order, first, begun, begun),
      context,
      `${name(session)}: begun`,
      {
        about,
      },
    )
  const run = { kind: 'setting up' as const, begun }
  return sessionDone(records, { ...session, run }, context, `${name(session)}: setting up`, { about })
}

/** What must be ready before the first shot and is not. */
function openChecks(records: Records, session: Session): string[] {
  const episodes = new Set(episodesOf(records, session.steps))
  const cards = [...episodes].flatMap((e) => {
    const episode = records.episodes.get(e)
    const recipe = episode && recipeFor(records, episode)
    return episode && recipe ? [{ episode, recipe }] : []
  })
  return checksBefore(session, cards).flatMap((c) => (c.required && !c.on ? [c.text] : []))
}

/**
 * Goes on to the first shot, in an order that holds from now on. Where something that must be ready is not, this is
 * said and the session waits, once; asked again it goes on.
 *
 * Refused:
 * - “Begin the session first, so that setting up is counted.”
 * - “There is nothing left to get in this session. Strike it, or add something.”
 * - and what `sessionOf` refuses
 */
export const rollSession: Command<{ session: Id; order: readonly Id[] }> = (
  records,
  { session: id, order },
  context,
) => {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  const session = read.value
  if (session.run.kind !== 'setting up')
    return refused('Begin the session first, so that setting up is counted.', 'sessions.run')
  const [first] = order
  if (first === undefined)
    return refused(
      'There is nothing left to get in this session. Strike it, or add something.',
      'sessions.order',
    )
  const open = openChecks(records, session)
  if (open.length > 0 && session.run.warned !== true) {
    const run = { ...session.run, warned: true }
    const [text = ''] = open
    const more = open.length > 1 ? ` and ${open.length - 1} more` : ''
    return sessionDone(records, { ...session, run }, context, `Not ready yet: ${text}${more}`)
  }
  const { begun } = session.run
  const goesOn = endOf(session.kind).end === 'end' ? 'begun' : 'rolling'
  return sessionDone(
    records,
    rolling(session, order, first, begun, momentOf(context)),
    context,
    `${name(session)}: ${goesOn}`,
    { about: episodesOf(records, session.steps) },
  )
}

/**
 * Takes something else in hand. What was in hand goes on later; its time so far is not lost where it is come back to.
 *
 * Refused:
 * - and what `runningOf` and `keptAt` refuse
 */
export const turnTo: Command<{ session: Id; item: Id }> = (records, { session: id, item }, context) => {
  const read = runningOf(records, id)
  if (!read.ok) return read
  const session = read.value
  if (session.run.at === item) return sessionDone(records, session, context, 'Went on')
  const found = keptAt(records, session, item)
  if (!found.ok) return found
  const moved = turned(session, item, context)
  return sessionDone(records, moved, context, 'Took another in hand', { merge: `turn ${id}` })
}

/** A running session with its stretch in hand closed, and something else in hand from now; a break ends. */
export function turned(
  session: Session & { run: Extract<Session['run'], { kind: 'running' }> },
  to: Id,
  context: Context,
): Session & { run: Extract<Session['run'], { kind: 'running' }> } {
  const now = momentOf(context)
  const { pause, ...run } = session.run
  const done: Stretch = { kind: 'done', of: run.at, from: run.since, to: now }
  const rest: Stretch[] = pause === undefined ? [] : [{ kind: 'break', of: '', from: pause, to: now }]
  return {
    ...session,
    stretches: [...session.stretches, ...rest, done],
    run: { ...run, at: to, since: now },
  }
}

/**
 * Takes a break, or ends it; its minutes count for nothing.
 *
 * Refused:
 * - and what `runningOf` refuses
 */
export const takeBreak: Command<{ session: Id; on: boolean }> = (records, { session: id, on }, context) => {
  const read = runningOf(records, id)
  if (!read.ok) return read
  const session = read.value
  const now = momentOf(context)
  const { pause, ...run } = session.run
  if (on)
    return sessionDone(records, { ...session, run: { ...run, pause: pause ?? now } }, context, 'A break')
  const stretches: Stretch[] =
    pause === undefined
      ? session.stretches
      : [...session.stretches, { kind: 'break', of: '', from: pause, to: now }]
  return sessionDone(records, { ...session, stretches, run }, context, 'The break is over')
}

/**
 * Gives the rest of a running session another order; what was got stays where it stands.
 *
 * Refused:
 * - and what `runningOf` refuses
 */
export const reorderSession: Command<{ session: Id; order: readonly Id[] }> = (
  records,
  { session: id, order },
  context,
) => {
  const read = runningOf(records, id)
  if (!read.ok) return read
  const known = new Set(order)
  const kept = read.value.order.filter((i) => !known.has(i))
  return sessionDone(records, { ...read.value, order: [...kept, ...order] }, context, 'Ordered the rest anew')
}
