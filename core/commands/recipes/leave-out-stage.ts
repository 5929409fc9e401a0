import { withoutStage } from '../../recipe/edit'
import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepsOf } from '../of-episode'
import { workBy } from './open-differences'
import { written } from './written'

/**
 * Leaves a stage out. Its lines go; open steps made from them stay in their episodes, in the stage next to
 * it, until the difference is taken.
 *
 * Refused:
 * - “This recipe is no longer there.”
 * - and what `withoutStage`, `written` refuse
 */
export const leaveOutStage: Command<{ recipe: Id; stage: Id }> = (
  records,
  { recipe: id, stage },
  context,
) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const rest = withoutStage(recipe, stage)
  if (!rest.ok) return rest
  const follow = recipe.follow?.filter(
    (f) =>
      !(f.when.kind === 'lit' && f.when.stage === stage) &&
      !(f.then.kind === 'add' && f.then.stage === stage),
  )
  const next = written(
    recipe,
    {
      ...rest.value,
      ...(follow ? { follow } : {}),
      ...(recipe.checklists ? { checklists: recipe.checklists.filter((c) => c.stage !== stage) } : {}),
    },
    context,
  )
  if (!next.ok) return next
  const at = recipe.stages.findIndex((s) => s.id === stage)
  // What is done before the release does not come to stand behind it.
  const isAfter = recipe.stages[at]?.kind === 'after'
  const heir =
    recipe.stages.find((s) => s.after.includes(stage) && (isAfter || s.kind !== 'after')) ??
    recipe.stages[at - 1] ??
    recipe.stages[at + 1]
  const steps = workBy(records, id)
    .flatMap((e) => stepsOf(records, e.id))
    .filter((s) => s.stage === stage)
  return ok({
    changes: [
      putRecord(records, 'recipes', next.value),
      ...(heir
        ? steps.map((s) =>
            putRecord(records, 'steps', { ...s, stage: heir.id, updatedAt: momentOf(context) }),
          )
        : []),
    ],
    sentence: `Left the stage “${recipe.stages[at]?.name ?? ''}” out of “${recipe.name}”`,
    about: [...new Set(steps.map((s) => s.episode))],
  })
}
