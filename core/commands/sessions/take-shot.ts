import type { Cue, Id, OwnShot, Session } from '../../records'
import { refused } from '../../result'
import { minutesInHand } from '../../session/clock'
import { momentOf, putRecord, type Command } from '../change'
import { keptAt, noted } from './in-hand'
import { runningOf, sessionDone, sessionOf } from './session-of'
import { turned } from './run-session'

/** What comes after something in a session's order: the next that is neither got nor put off. */
function nextAfter(session: Session, item: Id, isOpen: (id: Id) => boolean): Id {
  const at = session.order.indexOf(item)
  const row = [...session.order.slice(at + 1), ...session.order.slice(0, Math.max(0, at))]
  return row.find((id) => id !== item && isOpen(id) && !session.put.includes(id)) ?? item
}

/**
 * Notes a take of what is in hand: kept, and on to the next, or not, with its reason, and again. `open` are those that
 * are not got yet.
 *
 * Refused:
 * - and what `runningOf` and `keptAt` refuse
 */
export const takeInHand: Command<{
  session: Id
  kept: boolean
  reason?: string | undefined
  open: readonly Id[]
}> = (records, { session: id, kept, reason = '', open }, context) => {
  const read = runningOf(records, id)
  if (!read.ok) return read
  const session = read.value
  const item = session.run.at
  const found = keptAt(records, session, item)
  if (!found.ok) return found
  const seconds = Math.max(0, Math.round(minutesInHand(session, context.now) * 60))
  const take = { id: context.id(), at: momentOf(context), seconds: Math.min(86_400, seconds), kept, reason }
  const done = noted(records, session, item, found.value, take, context)
  const still = new Set(open.filter((i) => i !== item))
  const onwards = kept ? nextAfter(session, item, (i) => still.has(i)) : item
  const moved = turned({ ...done.session, run: session.run }, onwards, context)
  const about = found.value.kind === 'own' || found.value.kind === 'step' ? [] : [found.value.script.id]
  const why = reason === '' ? '' : `: ${reason}`
  return sessionDone(
    records,
    moved,
    context,
    kept ? `Got “${found.value.name}”` : `“${found.value.name}” again${why}`,
    { changes: done.changes, about },
  )
}

/**
 * Puts something off to another day, or takes it back into the session; what is in hand goes on to the next.
 *
 * Refused:
 * - and what `sessionOf` and `keptAt` refuse
 */
export const putOff: Command<{ session: Id; item: Id; on: boolean; open: readonly Id[] }> = (
  records,
  { session: id, item, on, open },
  context,
) => {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  const session = read.value
  const found = keptAt(records, session, item)
  if (!found.ok) return found
  const put = session.put.filter((p) => p !== item)
  const after: Session = { ...session, put: on ? [...put, item] : put }
  const { run } = session
  const still = new Set(open)
  const moved =
    on && run.kind === 'running' && run.at === item
      ? turned(
          { ...after, run },
          nextAfter(after, item, (i) => still.has(i)),
          context,
        )
      : after
  const said = on
    ? `“${found.value.name}” is put off to another day`
    : `“${found.value.name}” is of today again`
  return sessionDone(records, moved, context, said)
}

/**
 * Adds a shot that came to mind: to the script of an episode, at the beat of a shot or at its end, or to the session
 * itself where it is for no episode. In a recording it is one more section of the script, behind another.
 *
 * Refused:
 * - “Say what is to be filmed.”
 * - “This episode has no script that it could stand in.”
 * - and what `sessionOf` refuses
 */
export const addShot: Command<{
  session: Id
  text: string
  episode?: Id | undefined
  like?: Id | undefined
}> = (records, { session: id, text, episode, like }, context) => {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  const name = text.trim()
  if (name === '') return refused('Say what is to be filmed.', 'sessions.shots')
  const session = read.value
  const shot = context.id()
  const after = session.order.length === 0 ? session : { ...session, order: placed(session, shot) }
  if (episode === undefined) {
    const plan = session.shots.find((s) => s.id === like)?.shot
    const own: OwnShot = { id: shot, text: name, got: false, ...(plan ? { shot: plan } : {}) }
    return sessionDone(records, { ...after, shots: [...session.shots, own] }, context, `Added “${name}”`)
  }
  const script = records.scripts.get(episode)
  if (session.kind === 'record') {
    const at = script?.sections.findIndex((s) => s.id === like) ?? -1
    const made = { id: shot, title: name, beats: [] }
    const sections = script?.sections.toSpliced(at < 0 ? script.sections.length : at + 1, 0, made)
    if (!script || !sections)
      return refused('This episode has no script that it could stand in.', 'scripts.sections')
    return sessionDone(records, after, context, `Added “${name}”`, {
      changes: [putRecord(records, 'scripts', { ...script, sections, updatedAt: momentOf(context) })],
      about: [episode],
    })
  }
  const beats = script?.sections.flatMap((s) => s.beats) ?? []
  const host = beats.find((b) => b.cues.some((c) => c.id === like)) ?? beats.at(-1)
  if (!script || !host)
    return refused('This episode has no script that it could stand in.', 'scripts.sections')
  const model = host.cues.find((c) => c.id === like)
  const { after: _after, behind: _behind, minutes: _minutes, ...plan } = model?.shot ?? {}
  const cue: Cue = { id: shot, kind: 'shot', text: name, got: false, shot: plan }
  const sections = script.sections.map((s) => ({
    ...s,
    beats: s.beats.map((b) => (b.id === host.id ? { ...b, cues: [...b.cues, cue] } : b)),
  }))
  return sessionDone(records, after, context, `Added “${name}”`, {
    changes: [putRecord(records, 'scripts', { ...script, sections, updatedAt: momentOf(context) })],
    about: [episode],
  })
}

/** The order with one more right behind what is in hand, else at its end. */
function placed({ order, run }: Session, shot: Id): Id[] {
  const at = run.kind === 'running' ? order.indexOf(run.at) : -1
  return at < 0 ? [...order, shot] : order.toSpliced(at + 1, 0, shot)
}

/**
 * Puts something right behind another, or first; there it stays when the rest is ordered anew.
 *
 * Refused:
 * - and what `sessionOf` refuses
 */
export const putBehind: Command<{
  session: Id
  item: Id
  behind: Id | undefined
  order: readonly Id[]
}> = (records, { session: id, item, behind, order }, context) => {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  const session = read.value
  const others = Object.fromEntries(
    Object.entries(session.behind).filter(([of, to]) => of !== item && to !== (behind ?? '')),
  )
  const rest = order.filter((i) => i !== item)
  const at = behind === undefined ? 0 : rest.indexOf(behind) + 1
  const begun = session.order.length > 0
  return sessionDone(
    records,
    {
      ...session,
      behind: { ...others, [item]: behind ?? '' },
      order: begun ? rest.toSpliced(at, 0, item) : session.order,
    },
    context,
    'Put elsewhere in the session',
  )
}
