import type { Beat, Cue, Id, Records, Script, Session } from '../../records'
import { refused, type Result } from '../../result'
import { sayTime } from '../../script/timecode'
import { recipeFor } from '../of-episode'
import { momentOf, putRecord, type Change, type Command, type Context, type Outcome } from '../change'
import { keptAt } from './in-hand'
import { episodesOf, runningOf, sessionDone, sessionOf } from './session-of'

/**
 * Ticks something that is looked at before the first shot or before striking, or takes the tick back; an item of the
 * recipes' own checklists for every episode of the session that has it.
 *
 * Refused:
 * - and what `sessionOf` refuses
 */
export const checkSession: Command<{ session: Id; item: Id; on: boolean }> = (
  records,
  { session: id, item, on },
  context,
) => {
  const read = sessionOf(records, id)
  if (!read.ok) return read
  const session = read.value
  const said = on ? 'Ticked before the session' : 'Took back a tick of the session'
  const listed = episodesOf(records, session.steps).flatMap((e): Change[] => {
    const episode = records.episodes.get(e)
    const lists = (episode && recipeFor(records, episode)?.checklists) ?? []
    if (!episode || !lists.some((l) => l.items.some((i) => i.id === item))) return []
    const ticked = (episode.ticked ?? []).filter((t) => t !== item)
    return [
      putRecord(records, 'episodes', {
        ...episode,
        ticked: on ? [...ticked, item] : ticked,
        updatedAt: momentOf(context),
      }),
    ]
  })
  if (listed.length > 0)
    return sessionDone(records, session, context, said, {
      changes: listed,
      about: listed.map((c) => c.id),
    })
  const checked = session.checked.filter((c) => c !== item)
  return sessionDone(records, { ...session, checked: on ? [...checked, item] : checked }, context, said)
}

/**
 * Notes something for the edit beside what is in hand; in a recording with its time since the start.
 *
 * Refused:
 * - and what `runningOf` and `noteAt` refuse
 */
export const noteForEdit: Command<{ session: Id; text: string }> = (
  records,
  { session: id, text },
  context,
) => {
  const read = runningOf(records, id)
  return read.ok ? noteAt(records, read.value, read.value.run.at, text, context) : read
}

/**
 * A remark for the edit beside something of a session. Refused without words (“Write what the edit should know.”), and
 * where it stands in no script (“Marks stand in a script; what is in hand has none.”).
 */
export function noteAt(
  records: Records,
  session: Session,
  item: Id,
  text: string,
  context: Context,
): Result<Outcome> {
  const said = text.trim()
  if (said === '') return refused('Write what the edit should know.', 'scripts.sections')
  const found = keptAt(records, session, item)
  if (!found.ok) return found
  const script = 'script' in found.value ? found.value.script : undefined
  const host = script && hostOf(script, item)
  if (!script || !host) return refused('Marks stand in a script; what is in hand has none.', 'sessions.run')
  const { run } = session
  const since = run.kind === 'running' ? Math.round((context.now - Date.parse(run.rolled)) / 1000) : 0
  const isTimed = session.kind === 'record' && run.kind === 'running'
  const at = isTimed ? Math.max(0, Math.min(86_400, since)) : undefined
  const cue: Cue = {
    id: context.id(),
    kind: 'edit',
    text: said,
    got: false,
    ...(at === undefined ? {} : { at }),
  }
  const sections = script.sections.map((s) => ({
    ...s,
    beats: s.beats.map((b) => (b.id === host.id ? { ...b, cues: [...b.cues, cue] } : b)),
  }))
  const sentence = at === undefined ? `Noted for the edit: ${said}` : `Marked at ${sayTime(at)}: ${said}`
  return sessionDone(records, session, context, sentence, {
    changes: [putRecord(records, 'scripts', { ...script, sections, updatedAt: momentOf(context) })],
    about: [script.id],
  })
}

/** The beat beside which something of a session is noted. */
function hostOf({ sections }: Script, item: Id): Beat | undefined {
  const beats = sections.flatMap((s) => s.beats)
  return (
    sections.find((s) => s.id === item)?.beats[0] ??
    beats.find((b) => b.cues.some((c) => c.id === item)) ??
    beats[0]
  )
}
