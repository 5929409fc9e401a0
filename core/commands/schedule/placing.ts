import { scriptFrom, stepsToAdd } from '../../recipe/apply'
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
  return [...steps.map((s) => putRecord(records, 'steps', s)), ...script]
}

export function working(episode: Episode, context: Context): Episode {
  const at = momentOf(context)
  return {
    ...episode,
    phase: episode.phase.kind === 'work' ? episode.phase : { kind: 'work', since: at },
    updatedAt: at,
  }
}
