import type { Cue, Id, Script, Section, Take } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { sectionTaken } from '../sessions/in-hand'

const withSection = (script: Script, id: Id, to: (section: Section) => Section): Section[] =>
  script.sections.map((s) => (s.id === id ? to(s) : s))

/**
 * Notes a take of a section: kept, which ticks the section, or not, with its reason. A kept one corrects the show's
 * words a minute by how long it really took.
 *
 * Refused:
 * - “This section is no longer there; another change has taken it away.”
 */
export const noteTake: Command<{ episode: Id; section: Id; take: Omit<Take, 'id' | 'at'> }> = (
  records,
  { episode, section: id, take },
  context,
) => {
  const script = records.scripts.get(episode)
  const show = records.shows.get(records.episodes.get(episode)?.show ?? '')
  const section = script?.sections.find((s) => s.id === id)
  if (!script || !section || !show)
    return refused('This section is no longer there; another change has taken it away.', 'scripts.sections')
  const noted: Take = { id: context.id(), at: momentOf(context), ...take }
  return ok({
    changes: sectionTaken(records, script, id, noted, context),
    sentence: take.kept ? `Got “${section.title}”` : `A take of “${section.title}” was not kept`,
    about: [episode],
  })
}

/**
 * Says of a take that it is kept, or why not. One of a section that is kept alone makes it got.
 *
 * Refused:
 * - “This take is no longer there; another change has taken it away.”
 */
export const changeTake: Command<{ episode: Id; take: Id; to: Partial<Pick<Take, 'kept' | 'reason'>> }> = (
  records,
  { episode, take: id, to },
  context,
) => {
  const script = records.scripts.get(episode)
  const section = script?.sections.find((s) => s.takes?.some((t) => t.id === id))
  if (!script || !section)
    return refused('This take is no longer there; another change has taken it away.', 'scripts.sections')
  const sections = withSection(script, section.id, (s) => ({
    ...s,
    takes: (s.takes ?? []).map((t) => (t.id === id ? { ...t, ...to } : t)),
  }))
  return ok({
    changes: [putRecord(records, 'scripts', { ...script, sections, updatedAt: momentOf(context) })],
    sentence: `Changed a take of “${section.title}”`,
    about: [episode],
  })
}

/**
 * Notes a remark for the edit beside a beat, as a cue.
 *
 * Refused:
 * - “Write what the edit should know.”
 * - “This passage is no longer there; another change has taken it away.”
 */
export const noteRemark: Command<{ episode: Id; beat: Id; text: string }> = (
  records,
  { episode, beat, text },
  context,
) => {
  const script = records.scripts.get(episode)
  if (text.trim() === '') return refused('Write what the edit should know.', 'scripts.sections')
  if (!script?.sections.some((s) => s.beats.some((b) => b.id === beat)))
    return refused('This passage is no longer there; another change has taken it away.', 'scripts.sections')
  const cue: Cue = { id: context.id(), kind: 'edit', text: text.trim(), got: false }
  const sections = script.sections.map((s) => ({
    ...s,
    beats: s.beats.map((b) => (b.id === beat ? { ...b, cues: [...b.cues, cue] } : b)),
  }))
  return ok({
    changes: [putRecord(records, 'scripts', { ...script, sections, updatedAt: momentOf(context) })],
    sentence: `Noted for the edit: “${text.trim()}”`,
    about: [episode],
  })
}
