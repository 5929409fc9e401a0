import { fullRecipe, smallRecipe } from '../../recipe/starters'
import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { workBy } from './open-differences'
import { written } from './written'

/**
 * Gives a show one recipe more: a copy of one it has, or a starter.
 *
 * Refused:
 * - “This show is no longer there.”
 * - “The recipe to copy is no longer there.”
 * - and what `written` refuses
 */
export const addRecipe: Command<{ show: Id; name: string; from: 'small' | 'full' | { recipe: Id } }> = (
  records,
  { show: id, name, from },
  context,
) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const at = momentOf(context)
  const made = context.id()
  const source =
    typeof from === 'object'
      ? records.recipes.get(from.recipe)
      : from === 'full'
        ? fullRecipe(made, show.kind, at)
        : smallRecipe(made, show.kind, at)
  if (!source) return refused('The recipe to copy is no longer there.', 'recipes')
  const recipe = written({ ...source, id: made, createdAt: at }, { name: name.trim() }, context)
  if (!recipe.ok) return recipe
  return ok({
    changes: [
      putRecord(records, 'recipes', recipe.value),
      putRecord(records, 'shows', { ...show, recipes: [...(show.recipes ?? []), made], updatedAt: at }),
    ],
    sentence: `${show.title} has the recipe “${recipe.value.name}” now`,
    about: [],
  })
}

/**
 * Takes a recipe from a show. Refused for its first one, and while something in work is made by it.
 *
 * Refused:
 * - “This show is no longer there.”
 * - “It is the show’s first recipe. Make another one the first, then remove this.”
 * - ““…” is made by it. Give it another recipe first.”
 */
export const removeRecipe: Command<{ show: Id; recipe: Id }> = (records, { show: id, recipe }, context) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  if (show.recipe === recipe)
    return refused(
      'It is the show’s first recipe. Make another one the first, then remove this.',
      'shows.recipe',
    )
  const by = workBy(records, recipe)
  if (by[0])
    return refused(`“${by[0].title}” is made by it. Give it another recipe first.`, 'episodes.recipe')
  return ok({
    changes: [
      putRecord(records, 'shows', {
        ...show,
        recipes: (show.recipes ?? []).filter((r) => r !== recipe),
        ...(show.forms
          ? { forms: show.forms.map((f) => (f.recipe === recipe ? { id: f.id, name: f.name } : f)) }
          : {}),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Took the recipe “${records.recipes.get(recipe)?.name ?? ''}” from ${show.title}`,
    about: [],
  })
}
