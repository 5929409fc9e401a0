import type { Episode, Id, Recipe, Records, Step } from '../records'

/** The steps of one episode among the records. */
export function stepsOf(records: Records, episode: Id): Step[] {
  return [...records.steps.values()].filter((s) => s.episode === episode)
}

/** The recipe that an episode is made by: its own choice, else its show's first. */
export function recipeFor(
  records: Pick<Records, 'recipes' | 'shows'>,
  episode: Pick<Episode, 'show' | 'recipe'>,
): Recipe | undefined {
  return (
    records.recipes.get(episode.recipe ?? '') ??
    records.recipes.get(records.shows.get(episode.show)?.recipe ?? '')
  )
}
