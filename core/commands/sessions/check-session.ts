import type { Cue, Id } from '../../records'
import { refused } from '../../result'
import { sayTime } from '../../script/timecode'
import { recipeFor } from '../of-episode'
import { momentOf, putRecord, type Change, type Command } from '../change'
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
 * - “Write what the edit should know.”
 * - “Marks stand in a script; what is in hand has none.”
 * - and what `runningOf` and `keptAt` refuse
 */
export const noteForEdit: Command<{ session: Id; text: string }> = (
  records,
  { session: id, text },
  context,
) => {
  const read = runningOf(records, id)
  if (!read.ok) return read
  const session = read.value
  const item = session.run.at
  const said = text.trim()
  if (said === '') return refused('Write what the edit should know.', 'scripts.sections')
  const found = keptAt(records, session, item)
  if (!found.ok) return found
  const none = () => refused('Marks stand in a script; what is in hand has none.', 'sessions.run')
  if (found.value.kind === 'own' || found.value.kind === 'step') return none()
  const { script } = found.value
  const host =
    script.sections.find((s) => s.id === item)?.beats[0] ??
    script.sections.flatMap((s) => s.beats).find((b) => b.cues.some((c) => c.id === item)) ??
    script.sections[0]?.beats[0]
  if (!host) return none()
  const since = Math.round((context.now - Date.parse(session.run.rolled)) / 1000)
  const at = session.kind === 'record' ? Math.max(0, Math.min(86_400, since)) : undefined
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
  return sessionDone(
    records,
    session,
    context,
    at === undefined ? `Noted for the edit: ${said}` : `Marked at ${sayTime(at)}: ${said}`,
    {
      changes: [putRecord(records, 'scripts', { ...script, sections, updatedAt: momentOf(context) })],
      about: [script.id],
    },
  )
}
