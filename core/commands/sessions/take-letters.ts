import { inWriting, type BeltDeed, type BeltLetter } from '../../belt/letters'
import { checksAfter, checksBefore } from '../../session/checks'
import type { Id, Records, Session, Take, TakenLetter } from '../../records'
import { ok, refused } from '../../result'
import {
  merged,
  putRecord,
  removeRecord,
  withChanges,
  type Change,
  type Command,
  type Context,
} from '../change'
import { recipeFor } from '../of-episode'
import { stepOf } from '../step-of'
import { tickStep } from '../work/tick-step'
import { checkSession, noteAt } from './check-session'
import { keptAt, noted, shotTurned, type Kept } from './in-hand'
import { turned } from './run-session'
import { episodesOf, sessionOf } from './session-of'
import { putOff } from './take-shot'

/** Letters are remembered as long: what is older can't be on its way any more. Days. */
const remembered = 90

/** What a letter came to: its changes, or why the desk's own word stood. */
type Came = { changes: Change[]; about: Id[] } | { over: string }

/**
 * Takes letters of the belt in the order in which they were written, each once: one that was taken before changes
 * nothing. Where the desk has changed the same thing meanwhile, the desk's word stands, and this is said.
 *
 * Refused:
 * - “These letters were taken already.”
 */
export const takeLetters: Command<{ letters: readonly BeltLetter[] }> = (records, { letters }, context) => {
  const fresh = inWriting(letters).filter(
    (l, i, all) => !records.letters.has(l.id) && all.findIndex((x) => x.id === l.id) === i,
  )
  if (fresh.length === 0) return refused('These letters were taken already.', 'letters')
  let now = records
  let changes: Change[] = []
  const about = new Set<Id>()
  const over: string[] = []
  for (const letter of fresh) {
    const came = taken(now, letter, context)
    if ('over' in came) over.push(came.over)
    else for (const id of came.about) about.add(id)
    const row: TakenLetter = {
      id: letter.id,
      at: letter.at,
      ...('over' in came ? { over: came.over } : {}),
    }
    const more: Change[] = [...('over' in came ? [] : came.changes), putRecord(now, 'letters', row)]
    now = withChanges(now, more)
    changes = merged(changes, more)
  }
  const [first] = over
  const count =
    fresh.length === 1 ? 'Took one deed from the belt' : `Took ${fresh.length} deeds from the belt`
  return ok({
    changes: [...changes, ...forgotten(records, context)],
    sentence:
      first === undefined
        ? count
        : `${count}; ${first}${over.length > 1 ? `, and ${over.length - 1} more` : ''}`,
    about: [...about],
  })
}

function forgotten(records: Records, context: Context): Change[] {
  const before = new Date(context.now - remembered * 86_400_000).toISOString()
  return [...records.letters.values()].flatMap((l) =>
    l.at < before ? [removeRecord(records, 'letters', l.id)] : [],
  )
}

const stood = (name: string): Came => ({ over: `the desk had changed “${name}” meanwhile, and that stands` })

function outcome(done: ReturnType<Command<object>>): Came {
  return done.ok ? { changes: done.value.changes, about: done.value.about } : { over: done.problem.sentence }
}

function taken(records: Records, letter: BeltLetter, context: Context): Came {
  const { deed } = letter
  const at = { ...context, now: Math.min(context.now, Date.parse(letter.at)) }
  if (deed.kind === 'step') {
    const read = stepOf(records, deed.step, at)
    if (!read.ok) return { over: 'a step is no longer there' }
    const step = read.value
    if ((step.doneAt !== undefined) !== deed.saw) return stood(step.name)
    return outcome(tickStep(records, { step: deed.step, done: deed.done }, at))
  }
  const session = sessionOf(records, deed.session)
  if (!session.ok) return { over: 'a session is no longer there' }
  return inSession(records, session.value, deed, letter, at)
}

function inSession(
  records: Records,
  session: Session,
  deed: Exclude<BeltDeed, { kind: 'step' }>,
  letter: BeltLetter,
  context: Context,
): Came {
  if (deed.kind === 'check') {
    const here = checkOf(records, session, deed.item)
    if (here && here.on !== deed.saw) return stood(here.text)
    return outcome(checkSession(records, { session: session.id, item: deed.item, on: deed.on }, context))
  }
  const found = keptAt(records, session, deed.item)
  if (!found.ok) return { over: 'something is no longer in the session' }
  const kept = found.value
  switch (deed.kind) {
    case 'remark':
      return outcome(noteAt(records, session, deed.item, deed.text, context))
    case 'put': {
      // What the desk got meanwhile is not put off.
      if (session.put.includes(deed.item) !== deed.saw || gotOf(records, session, deed.item) === true)
        return stood(kept.name)
      const open = session.order.filter((id) => gotOf(records, session, id) === false)
      return outcome(putOff(records, { session: session.id, item: deed.item, on: deed.on, open }, context))
    }
    case 'got':
      return gotOf(records, session, deed.item) === deed.saw
        ? gotTurned(records, session, deed.item, kept, deed.got, context)
        : stood(kept.name)
    case 'take':
      return tookOne(records, session, deed, letter, kept, context)
  }
}

/** A take from the belt keeps its letter's id. Where the desk took back that it was got, that stands. */
function tookOne(
  records: Records,
  session: Session,
  deed: Extract<BeltDeed, { kind: 'take' }>,
  letter: BeltLetter,
  kept: Kept,
  context: Context,
): Came {
  const { item, reason, seconds } = deed
  if (deed.kept && deed.saw && gotOf(records, session, item) === false) return stood(kept.name)
  const take: Take = { id: letter.id, at: letter.at, seconds, kept: deed.kept, reason }
  const done = noted(records, session, item, kept, take, context)
  const { run } = session
  const goesOn = deed.kept && run.kind === 'running' && run.at === item
  const next = session.order.find(
    (id) => id !== item && !session.put.includes(id) && gotOf(records, session, id) === false,
  )
  const after = goesOn ? turned({ ...done.session, run }, next ?? item, context) : done.session
  const about = 'script' in kept ? [kept.script.id] : []
  return { changes: [putRecord(records, 'sessions', after), ...done.changes], about }
}

/** Whether something of a session was got; nothing where it is gone. */
function gotOf(records: Records, session: Session, item: Id): boolean | undefined {
  const found = keptAt(records, session, item)
  if (!found.ok) return undefined
  const kept = found.value
  switch (kept.kind) {
    case 'own':
      return session.shots.find((s) => s.id === item)?.got ?? false
    case 'step':
      return records.steps.get(item)?.doneAt !== undefined
    case 'camera':
      return kept.script.toCamera?.got ?? false
    case 'section':
      return kept.script.sections.find((s) => s.id === item)?.takes?.some((t) => t.kept) ?? false
    case 'cue':
      return kept.script.sections.some((s) => s.beats.some((b) => b.cues.some((c) => c.id === item && c.got)))
  }
}

function gotTurned(
  records: Records,
  session: Session,
  item: Id,
  kept: Kept,
  got: boolean,
  context: Context,
): Came {
  const at = new Date(context.now).toISOString()
  switch (kept.kind) {
    case 'own': {
      const shots = session.shots.map((s) => (s.id === item ? { ...s, got } : s))
      return { changes: [putRecord(records, 'sessions', { ...session, shots, updatedAt: at })], about: [] }
    }
    case 'step':
      return outcome(tickStep(records, { step: item, done: got }, context))
    case 'cue':
    case 'camera': {
      const script = shotTurned(kept.script, item, (of) => ({ got, takes: of.takes ?? [] }))
      return {
        changes: [putRecord(records, 'scripts', { ...script, updatedAt: at })],
        about: [script.id],
      }
    }
    case 'section': {
      // A section is got by a take that is kept: without one it is not, and nobody offers to get it without a take.
      if (got) return stood(kept.name)
      const sections = kept.script.sections.map((s) =>
        s.id === item ? { ...s, takes: s.takes?.map((t) => ({ ...t, kept: false })) } : s,
      )
      const script = { ...kept.script, sections, updatedAt: at }
      return { changes: [putRecord(records, 'scripts', script)], about: [script.id] }
    }
  }
}

function checkOf(records: Records, session: Session, item: Id): { on: boolean; text: string } | undefined {
  const cards = episodesOf(records, session.steps).flatMap((id) => {
    const episode = records.episodes.get(id)
    const recipe = episode && recipeFor(records, episode)
    return episode && recipe ? [{ episode, recipe }] : []
  })
  return [...checksBefore(session, cards), ...checksAfter(session, [])].find((c) => c.id === item)
}
