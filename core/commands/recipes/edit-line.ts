import type { Id, RecipeLine } from '../../records'
import { ok, refused } from '../../result'
import type { Command } from '../change'
import { editRecipe } from './edit-recipe'

/**
 * Changes one line of a recipe.
 *
 * Refused:
 * - “This recipe is no longer there.”
 */
export const editLine: Command<{ recipe: Id; line: RecipeLine }> = (
  records,
  { recipe: id, line },
  context,
) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const done = editRecipe(
    records,
    { recipe: id, fields: { lines: recipe.lines.map((l) => (l.id === line.id ? line : l)) } },
    context,
  )
  return done.ok ? ok({ ...done.value, sentence: `Changed “${line.name}” in the recipe` }) : done
}
