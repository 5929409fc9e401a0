import { sum } from 'd3-array'
import type { Day, Episode, Id, Records, Session, Show, Step } from '../../records'
import { refused } from '../../result'
import { copiedCheck } from '../../session/checks'
import { breakMinutes, tookIn } from '../../session/clock'
import { sectionsOf, shotFrom, shotsOf, type Item } from '../../session/items'
import { endOf, sessionKinds } from '../../session/kinds'
import { sayMinutes } from '../../script/timecode'
import { momentOf, putRecord, type Change, type Command, type Context } from '../change'
import { withMinutes } from '../work/logged'
import { todayOf } from '../step-of'
import { episodesOf, sessionDone, sessionOf } from './session-of'
import { changesLearnt, sayLearnt, setUpLearnt } from './learnt-minutes'
import { turned } from './run-session'

/** The id of an episode's step that says that its footage is in two places. */
export const copyStep = (episode: Id): Id => `${episode}/copied`

/**
 * Strikes a session: what was got stays got. Its minutes are logged on its steps; a step of which all must-haves were
 * got is done, of another what is left is planned again. Setting up, and changing between shots, count from now on a
 * little more like they took here. Whether footage was copied to two places becomes a step of its own.
 *
 * Refused:
 * - “This session has not begun, so there is nothing to strike. Take it off its day instead.”
 * - and what `sessionOf` refuses
 */
export const strikeSession: Command<{ session: Id }> = (records, { session: id }, context) => {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  const { run } = read.value
  if (run.kind === 'planned' || run.kind === 'struck')
    return refused(
      'This session has not begun, so there is nothing to strike. Take it off its day instead.',
      'sessions.run',
    )
  const session = run.kind === 'running' ? turned({ ...read.value, run }, run.at, context) : read.value
  const now = momentOf(context)
  const minutesSince = (from: string, to: string) =>
    Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / 60_000))
  const setup = run.kind === 'running' ? minutesSince(run.begun, run.rolled) : minutesSince(run.begun, now)
  const parts = episodesOf(records, session.steps).map((e) => partOf(records, session, e))
  const items = [...parts.flatMap((p) => p.items), ...session.shots.map((s) => ({ id: s.id, got: s.got }))]
  const mine = items.filter((i) => session.order.includes(i.id))
  const minutes = Math.max(0, minutesSince(run.begun, now) - Math.round(breakMinutes(session, context.now)))
  const struck: Session = {
    ...session,
    run: {
      kind: 'struck',
      begun: run.begun,
      ended: now,
      setup,
      minutes,
      got: mine.filter((i) => i.got).length,
      of: mine.length,
    },
  }
  const learnt = [
    ...(run.kind === 'running' ? [setUpLearnt(records, session, setup, context)] : []),
    changesLearnt(
      records,
      session,
      parts.flatMap((p) => p.items),
      context,
    ),
  ]
  const changes: Change[] = [
    ...parts.flatMap((p) => worked(records, session, p, context)),
    ...learnt.flatMap((l) => l.changes),
  ]
  const words = endOf(session.kind)
  const count = `${mine.filter((i) => i.got).length} of ${mine.length}`
  const said = `${sessionKinds[session.kind].name} ${words.ended}: ${count} ${words.got} in ${sayMinutes(minutes)}${sayLearnt(learnt)}`
  return sessionDone(records, struck, context, said, { changes, about: parts.map((p) => p.episode) })
}

/** What a session has of one episode: its open steps, what was to be got, and how long it took. */
interface Part {
  episode: Id
  steps: Step[]
  items: Pick<Item, 'id' | 'got' | 'shot' | 'kind'>[]
  minutes: number
}

function partOf(records: Records, session: Session, id: Id): Part {
  const episode = records.episodes.get(id)
  const show = records.shows.get(episode?.show ?? '')
  const steps = session.steps.flatMap((s) => {
    const step = records.steps.get(s)
    return step?.episode === id ? [step] : []
  })
  const items = episode && show ? itemsOf(records, session, episode, show, steps) : []
  const took = tookIn(session)
  return { episode: id, steps, items, minutes: sum(items, (i) => took.get(i.id) ?? 0) }
}

function itemsOf(
  records: Records,
  session: Session,
  episode: Episode,
  show: Show,
  steps: readonly Step[],
): Part['items'] {
  const of = { episode, show, script: records.scripts.get(episode.id) }
  const { items } = sessionKinds[session.kind]
  const found = items === 'shots' ? shotsOf(of) : items === 'sections' ? sectionsOf(of) : []
  if (found.length > 0) return found
  return steps.map((s) => ({
    id: s.id,
    kind: 'step',
    got: s.doneAt !== undefined,
    shot: shotFrom(s.id, {}, s.minutes),
  }))
}

/** The changes that a struck session makes to an episode's steps. */
function worked(records: Records, session: Session, part: Part, context: Context): Change[] {
  const today = todayOf(records, context)
  const took = tookIn(session)
  const isByStep = part.items.every((i) => i.kind === 'step')
  const whole = sum(part.steps, (s) => s.minutes) || 1
  const missing = part.items.filter((i) => i.shot.must && !i.got)
  const isGot = part.items.length > 0 && missing.length === 0
  const changes = part.steps.flatMap((step): Change[] => {
    const mine = isByStep ? (took.get(step.id) ?? 0) : (part.minutes * step.minutes) / whole
    const logged = withMinutes(step, today, Math.round(mine))
    const done = step.doneAt !== undefined || (!isByStep && isGot)
    const left = isByStep ? 0 : (sum(missing, (i) => i.shot.minutes) * step.minutes) / whole
    const after = done
      ? { ...logged, doneAt: step.doneAt ?? momentOf(context), waiting: undefined }
      : againPlanned(logged, session.day, left)
    return [putRecord(records, 'steps', { ...after, updatedAt: momentOf(context) })]
  })
  const hasFootage = part.items.some((i) => i.got && session.order.includes(i.id))
  return hasFootage ? [...changes, ...copied(records, session, part, context)] : changes
}

/** What is left of a step is planned anew: off the day of the session, as long as what is still to be got. */
function againPlanned(step: Step, day: Day, left: number): Step {
  const minutes = left > 0 ? Math.min(6000, step.logged + Math.ceil(left)) : step.minutes
  return { ...step, minutes, blocks: step.blocks.filter((b) => b.day !== day) }
}

/** The step by which footage is said to be in two places: done where it was ticked. */
function copied(records: Records, session: Session, { episode, steps }: Part, context: Context): Change[] {
  const [first] = steps
  if (!first || (session.kind !== 'film' && session.kind !== 'record')) return []
  const at = momentOf(context)
  const done = session.checked.includes(copiedCheck) ? { doneAt: at } : {}
  const there = records.steps.get(copyStep(episode))
  if (there)
    return there.doneAt === undefined
      ? [putRecord(records, 'steps', { ...there, ...done, updatedAt: at })]
      : []
  const step: Step = {
    id: copyStep(episode),
    episode,
    stage: first.stage,
    name: `Copy the ${session.kind === 'film' ? 'footage' : 'recording'} to two places`,
    kind: 'admin',
    minutes: 10,
    logged: 0,
    lead: first.lead,
    needs: [first.id],
    owner: 'me',
    required: true,
    blocks: [],
    order: first.order + 0.5,
    createdAt: at,
    updatedAt: at,
    ...done,
  }
  return [putRecord(records, 'steps', step)]
}
