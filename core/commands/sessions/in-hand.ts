import type { Id, Records, Script, Session, Take } from '../../records'
import { refused, ok, type Result } from '../../result'
import { learntPace } from '../../script/reading'
import { cameraId, episodeOfCamera } from '../../script/to-camera'
import { momentOf, putRecord, type Change, type Context } from '../change'
import { cuesIn } from '../episode/write-script'
import { episodesOf } from './session-of'

/** Something that is got in a session, where it is kept. */
export type Kept =
  | { kind: 'cue' | 'camera' | 'section'; script: Script; name: string }
  | { kind: 'own'; name: string }
  | { kind: 'step'; name: string }

/** Where something that is got in a session is kept. Refused when it is gone. */
export function keptAt(records: Records, session: Session, item: Id): Result<Kept> {
  const own = session.shots.find((s) => s.id === item)
  if (own) return ok({ kind: 'own', name: own.text })
  const spoken = records.scripts.get(episodeOfCamera(item) ?? '')
  if (spoken) return ok({ kind: 'camera', script: spoken, name: 'The words to camera' })
  for (const episode of episodesOf(records, session.steps)) {
    const script = records.scripts.get(episode)
    const section = script?.sections.find((s) => s.id === item)
    if (script && section) return ok({ kind: 'section', script, name: section.title })
    const cue = cuesIn(script?.sections ?? []).find((c) => c.id === item)
    if (script && cue) return ok({ kind: 'cue', script, name: cue.text || 'A shot' })
  }
  const step = records.steps.get(item)
  if (step) return ok({ kind: 'step', name: step.name })
  return refused('This is no longer in the session; another change has taken it away.', 'sessions.order')
}

/** How a thing that can be got is changed: whether it was got, and its takes. */
type Turn = (of: { got: boolean; takes?: Take[] | undefined }) => { got: boolean; takes: Take[] }

/** A script with one of its shots, or its words to camera, turned. */
export function shotTurned(script: Script, item: Id, turn: Turn): Script {
  if (item === cameraId(script.id)) {
    const { toCamera = { got: false } } = script
    return { ...script, toCamera: { ...toCamera, ...turn(toCamera) } }
  }
  return {
    ...script,
    sections: script.sections.map((s) =>
      s.beats.some((b) => b.cues.some((c) => c.id === item))
        ? {
            ...s,
            beats: s.beats.map((b) => ({
              ...b,
              cues: b.cues.map((c) => (c.id === item ? { ...c, ...turn(c) } : c)),
            })),
          }
        : s,
    ),
  }
}

/** The changes by which a take is noted; one that is kept says that it was got. */
export function noted(
  records: Records,
  session: Session,
  item: Id,
  kept: Kept,
  take: Take,
  context: Context,
): { session: Session; changes: Change[] } {
  const turn: Turn = (of) => ({ got: of.got || take.kept, takes: [...(of.takes ?? []), take] })
  const at = momentOf(context)
  switch (kept.kind) {
    case 'own':
      return {
        session: {
          ...session,
          shots: session.shots.map((s) => (s.id === item ? { ...s, ...turn(s) } : s)),
        },
        changes: [],
      }
    case 'cue':
    case 'camera': {
      const script = shotTurned(kept.script, item, turn)
      return { session, changes: [putRecord(records, 'scripts', { ...script, updatedAt: at })] }
    }
    case 'section':
      return { session, changes: sectionTaken(records, kept.script, item, take, context) }
    case 'step': {
      const step = records.steps.get(item)
      const done = step && take.kept ? { ...step, doneAt: at, waiting: undefined, updatedAt: at } : undefined
      return { session, changes: done ? [putRecord(records, 'steps', done)] : [] }
    }
  }
}

/** The changes by which a take of a section is noted; a kept one corrects the show's words a minute. */
export function sectionTaken(
  records: Records,
  script: Script,
  id: Id,
  take: Take,
  context: Context,
): Change[] {
  const section = script.sections.find((s) => s.id === id)
  const show = records.shows.get(records.episodes.get(script.id)?.show ?? '')
  if (!section || !show) return []
  const at = momentOf(context)
  const sections = script.sections.map((s) => (s.id === id ? { ...s, takes: [...(s.takes ?? []), take] } : s))
  const pace = take.kept ? learntPace(script, section, take, show.pace) : undefined
  return [
    putRecord(records, 'scripts', { ...script, sections, updatedAt: at }),
    ...(pace ? [putRecord(records, 'shows', { ...show, pace, updatedAt: at })] : []),
  ]
}
