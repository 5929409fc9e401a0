import { scriptFrom } from '../../recipe/apply'
import type { Beat, Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/** Points to speak from, as they stand in a beat until they are written out. */
export function asPoints(points: readonly string[]): string {
  return points.map((p) => `• ${p}`).join('\n')
}

/**
 * Takes one section of a drafted outline into the script: a new section (the recipe's outline is laid first
 * where there is no script yet), or points below what the section has. Nothing that is there is written
 * over.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const takeSection: Command<{ episode: Id; title: string; points: string[] }> = (
  records,
  { episode: id, title, points },
  context,
) => {
  const episode = records.episodes.get(id)
  const recipe = records.recipes.get(records.shows.get(episode?.show ?? '')?.recipe ?? '')
  if (!episode || !recipe) return refused('This episode is no longer there.', 'scripts')
  const script = records.scripts.get(id) ?? scriptFrom(recipe, episode, momentOf(context))
  const beat: Beat = { id: context.id(), delivery: 'camera', text: asPoints(points), hold: 0, cues: [] }
  const there = script.sections.find((s) => s.title === title)
  const isBlank = (b: Beat) => b.text.trim() === '' && b.cues.length === 0
  const sections = there
    ? script.sections.map((s) =>
        s.id === there.id
          ? { ...s, beats: points.length === 0 ? s.beats : [...s.beats.filter((b) => !isBlank(b)), beat] }
          : s,
      )
    : [...script.sections, { id: context.id(), title, beats: [beat] }]
  return ok({
    changes: [putRecord(records, 'scripts', { ...script, sections, updatedAt: momentOf(context) })],
    sentence: `Took “${title}” into the script`,
    about: [id],
  })
}
