import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { workBy } from './open-differences'

/**
 * Makes one of a show's recipes the first: what is begun from now on is made by it. What is in work keeps
 * its own.
 *
 * Refused:
 * - “This show doesn’t have that recipe.”
 */
export const firstRecipe: Command<{ show: Id; recipe: Id }> = (records, { show: id, recipe }, context) => {
  const show = records.shows.get(id)
  if (!show || !(show.recipes ?? []).includes(recipe))
    return refused('This show doesn’t have that recipe.', 'shows.recipes')
  const at = momentOf(context)
  const keep = workBy(records, show.recipe)
    .filter((e) => e.show === id && e.recipe === undefined)
    .map((e) => putRecord(records, 'episodes', { ...e, recipe: show.recipe, updatedAt: at }))
  return ok({
    changes: [
      putRecord(records, 'shows', {
        ...show,
        recipe,
        recipes: [show.recipe, ...(show.recipes ?? []).filter((r) => r !== recipe)],
        updatedAt: at,
      }),
      ...keep,
    ],
    sentence: `${show.title} is made by “${records.recipes.get(recipe)?.name ?? ''}” from now on`,
    about: [],
  })
}
