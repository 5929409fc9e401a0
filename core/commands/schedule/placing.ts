import { scriptFrom, stepsToAdd } from '../../recipe/apply'
import { spinOffsToAdd, spinStage, spinStep } from '../../release/spin-offs'
import type { Episode, Id, Records, Show } from '../../records'
import { type Result, ok, refused } from '../../result'
import { type Change, type Context, momentOf, putRecord } from '../change'
import { recipeFor, stepsOf } from '../of-episode'

export function found(records: Records, id: Id): Result<{ episode: Episode; show: Show }> {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  return episode && show ? ok({ episode, show }) : refused('This episode is no longer there.', 'episodes')
}

/** The changes that put an episode to work: its recipe's steps and script outline, those missing alone. */
export function begun(records: Records, episode: Episode, context: Context): Change[] {
  const recipe = recipeFor(records, episode)
  if (!recipe) return []
  const at = momentOf(context)
  const steps = stepsToAdd(recipe, episode.id, stepsOf(records, episode.id), at)
  const script = records.scripts.has(episode.id)
    ? []
    : [putRecord(records, 'scripts', scriptFrom(recipe, episode, at))]
  const order = Math.max(0, ...steps.map((s) => s.order + 1))
  const spun = spinOffsToAdd(recipe, records.episodes.get(episode.id) ?? episode, at).map(
    ({ spin, line }, i) =>
      spinStep(episode.id, spin, { stage: spinStage(recipe), minutes: line.minutes, order: order + i, at }),
  )
  return [...[...steps, ...spun].map((s) => putRecord(records, 'steps', s)), ...script]
}

/** An episode in work; what its recipe has made of every episode is there from then on. */
export function working(records: Records, episode: Episode, context: Context): Episode {
  const at = momentOf(context)
  const recipe = recipeFor(records, episode)
  const spun = recipe ? spinOffsToAdd(recipe, episode, at).map(({ spin }) => spin) : []
  return {
    ...episode,
    ...(spun.length > 0 ? { spinOffs: [...(episode.spinOffs ?? []), ...spun] } : {}),
    phase: episode.phase.kind === 'work' ? episode.phase : { kind: 'work', since: at },
    updatedAt: at,
  }
}
