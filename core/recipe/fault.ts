import type { Recipe } from '../records'
import { ok, refused, type Result } from '../result'
import { inOrder } from './needs'

/**
 * What is wrong with a recipe's stages and lines, in a sentence: circles of needs (named), of stages, of
 * leads; lines in no stage.
 */
export function recipeFault(recipe: Pick<Recipe, 'stages' | 'lines'>): Result<true> {
  const order = inOrder(recipe.lines)
  if (!order.ok) return order
  const stages = inOrder(recipe.stages.map((s) => ({ id: s.id, name: s.name, needs: s.after })))
  if (!stages.ok) return stages
  const known = new Set(recipe.stages.map((s) => s.id))
  const lost = recipe.lines.find((l) => !known.has(l.stage))
  if (lost)
    return refused(`“${lost.name}” is in no stage of this recipe. Choose one for it.`, 'recipes.lines.stage')
  const leads = inOrder(
    recipe.lines.map((l) => ({
      id: l.id,
      name: l.name,
      needs: l.lead.kind === 'ahead' ? [l.lead.step] : [],
    })),
  )
  return leads.ok
    ? ok(true)
    : refused(
        leads.problem.sentence
          .replace(
            'These steps wait for each other in a circle',
            'The leads of these steps are counted from each other in a circle',
          )
          .replaceAll(' needs ', ' before ')
          .replace('one of these needs', 'one of these leads'),
        'recipes.lines.lead',
      )
}
