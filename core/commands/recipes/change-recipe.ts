import { stepsToAdd } from '../../recipe/apply'
import { lineFor } from '../../recipe/differences'
import type { Episode, Id, Moment, Recipe, Records, Step } from '../../records'
import { ok, refused } from '../../result'
import { type Change, type Command, momentOf, putRecord, removeRecord } from '../change'
import { stepsOf } from '../of-episode'

/**
 * What it takes that an episode is made by a recipe: steps of lines it lacks come, open ones not begun whose
 * line the other lacks go; what is done stays. The episode itself is not among it.
 */
export function stepsFor(records: Records, episode: Episode, recipe: Recipe, at: Moment): Change[] {
  if (episode.phase.kind !== 'work') return []
  const { id } = episode
  const mine = stepsOf(records, id)
  const changes: Change[] = []
  const lines = new Map(recipe.lines.map((l) => [l.id, l]))
  const home = (stage: Id) =>
    recipe.stages.some((s) => s.id === stage)
      ? stage
      : ((recipe.stages.find((s) => s.kind === 'release') ?? recipe.stages[0])?.id ?? stage)
  const gone = new Set(
    mine
      .filter((s) => s.line !== undefined && !lines.has(s.line) && s.doneAt === undefined && s.logged === 0)
      .map((s) => s.id),
  )
  for (const s of mine) {
    if (gone.has(s.id)) {
      changes.push(removeRecord(records, 'steps', s.id))
      continue
    }
    const line = s.line === undefined ? undefined : lines.get(s.line)
    const next: Step =
      s.doneAt === undefined && s.logged === 0 && line
        ? {
            ...s,
            name: line.name,
            kind: line.kind,
            minutes: line.minutes,
            stage: line.stage,
            required: line.required,
            part: line.part,
            ...lineFor(line, id),
            updatedAt: at,
          }
        : { ...s, stage: home(s.stage), needs: s.needs.filter((n) => !gone.has(n)) }
    if (JSON.stringify({ ...next, updatedAt: '' }) !== JSON.stringify({ ...s, updatedAt: '' }))
      changes.push(putRecord(records, 'steps', { ...next, updatedAt: at }))
  }
  for (const s of stepsToAdd(recipe, id, mine, at)) changes.push(putRecord(records, 'steps', s))
  return changes
}

/**
 * Lets an episode be made by another recipe of its show: steps of lines it lacks come, open ones not begun
 * whose line the other lacks go; what is done stays.
 *
 * Refused:
 * - “It is no longer there.”
 */
export const changeRecipe: Command<{ episode: Id; recipe: Id }> = (
  records,
  { episode: id, recipe: wanted },
  context,
) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  const recipe = records.recipes.get(wanted)
  if (!episode || !show || !recipe) return refused('It is no longer there.', 'episodes')
  const at = momentOf(context)
  const changes: Change[] = [
    putRecord(records, 'episodes', {
      ...episode,
      recipe: wanted === show.recipe ? undefined : wanted,
      left: undefined,
      updatedAt: at,
    }),
    ...stepsFor(records, episode, recipe, at),
  ]
  return ok({ changes, sentence: `“${episode.title}” is made by “${recipe.name}”`, about: [id] })
}
