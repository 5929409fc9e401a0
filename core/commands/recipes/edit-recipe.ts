import type { Id, RecipeLine } from '../../records'
import { ok, refused } from '../../result'
import { type Command, putRecord } from '../change'
import { type RecipeFields, written } from './written'

/**
 * Changes a recipe. Refused for a circle (named), an unknown word in the pattern, or a field that is wrong.
 * Episodes in work keep their steps; what differs is offered to them.
 *
 * Refused:
 * - “This recipe is no longer there.”
 * - and what `written` refuses
 */
export const editRecipe: Command<{ recipe: Id; fields: RecipeFields }> = (
  records,
  { recipe: id, fields },
  context,
) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const next = written(recipe, fields, context)
  if (!next.ok) return next
  const moved = onlyLead(recipe.lines, fields)
  return ok({
    changes: [putRecord(records, 'recipes', next.value)],
    sentence: `Changed the recipe “${next.value.name}”`,
    about: [],
    ...(moved === undefined ? {} : { merge: `recipe ${id} lead ${moved}` }),
  })
}

/** The one line of which nothing but the lead changes: moving a dot about is one step of undo. */
function onlyLead(before: readonly RecipeLine[], fields: RecipeFields): Id | undefined {
  if (fields.lines?.length !== before.length || Object.keys(fields).length > 1) return undefined
  const bare = (l: RecipeLine | undefined) => JSON.stringify({ ...l, lead: undefined, changedAt: undefined })
  const other = fields.lines.filter((l, i) => JSON.stringify(l) !== JSON.stringify(before[i]))
  return other.length === 1 && bare(other[0]) === bare(before.find((l) => l.id === other[0]?.id))
    ? other[0]?.id
    : undefined
}
