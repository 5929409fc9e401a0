import { type Difference, differencesOf } from '../../recipe/differences'
import type { Episode, Id, Records } from '../../records'
import { recipeFor, stepsOf } from '../of-episode'

/** The episodes in work that are made by a recipe. */
export function workBy(records: Records, recipe: Id): Episode[] {
  return [...records.episodes.values()].filter(
    (e) => e.phase.kind === 'work' && recipeFor(records, e)?.id === recipe,
  )
}

/** What a recipe, as it is now, would change in the episodes in work that are made by it. */
export function openDifferences(records: Records, recipe: Id): Difference[] {
  const found = records.recipes.get(recipe)
  return found ? workBy(records, recipe).flatMap((e) => differencesOf(found, e, stepsOf(records, e.id))) : []
}
