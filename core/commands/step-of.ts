import type { Day, Id, Records, Step, Zone } from '../records'
import { partOfStep, partStep } from '../recipe/part-steps'
import { ok, refused, type Result } from '../result'
import { creatorZone } from '../rhythm/creator'
import { dayAt } from '../rhythm/zone'
import { momentOf, type Context } from './change'
import { recipeFor, stepsOf } from './of-episode'

/** The zone that days are told in. */
export function zoneOf(records: Pick<Records, 'shows'>): Zone {
  return creatorZone(records.shows.values())
}

/** The day it is for the creator. */
export function todayOf(records: Pick<Records, 'shows'>, context: Pick<Context, 'now'>): Day {
  return dayAt(context.now, zoneOf(records))
}

/**
 * The step with an id: its record, or the one that brings a part which no step of its episode brings
 * (`core/recipe/part-steps`); that one becomes a record by what a command writes of it. Refused when there
 * is neither.
 */
export function stepOf(records: Records, id: Id, context: Context): Result<Step> {
  const step = records.steps.get(id)
  if (step) return ok(step)
  const wanted = partOfStep(id)
  const episode = wanted && records.episodes.get(wanted.episode)
  const show = episode && records.shows.get(episode.show)
  const recipe = episode && recipeFor(records, episode)
  if (!wanted || !episode || !show || !recipe) return refused('This step is no longer there.', 'steps')
  return ok(
    partStep(wanted.part, {
      episode,
      kind: show.kind,
      recipe,
      steps: stepsOf(records, episode.id),
      at: momentOf(context),
    }),
  )
}
