import { withoutLine } from '../../recipe/edit'
import type { Unused } from '../../learnt/unused'
import type { FollowOn, Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { written } from './written'

/**
 * Takes what was never used out of a show and its recipe, at once: steps, and own fields. What is in work keeps its steps
 * until the difference is taken; what stands in a field stays in its episodes.
 *
 * Refused:
 * - “This show or recipe is no longer there.”
 * - “There is nothing to take out.”
 * - and what `written` refuses
 */
export const takeOut: Command<{ show: Id; recipe: Id; unused: readonly Pick<Unused, 'kind' | 'id'>[] }> = (
  records,
  { show: showId, recipe: recipeId, unused },
  context,
) => {
  const [show, recipe] = [records.shows.get(showId), records.recipes.get(recipeId)]
  if (!show || !recipe) return refused('This show or recipe is no longer there.', 'recipes')
  const lines = unused.filter((u) => u.kind === 'line' && recipe.lines.some((l) => l.id === u.id))
  const fields = new Set(unused.flatMap((u) => (u.kind === 'field' ? [u.id] : [])))
  const left = show.fields.filter((f) => !fields.has(f.id))
  if (lines.length === 0 && left.length === show.fields.length)
    return refused('There is nothing to take out.', 'recipes.lines')
  const rest = lines.reduce((now, l) => withoutLine(now, l.id), recipe)
  const next = written(
    recipe,
    { lines: rest.lines, ...(recipe.follow ? { follow: followed(recipe, lines) } : {}) },
    context,
  )
  if (!next.ok) return next
  const at = momentOf(context)
  return ok({
    changes: [
      ...(lines.length > 0 ? [putRecord(records, 'recipes', next.value)] : []),
      ...(left.length < show.fields.length
        ? [putRecord(records, 'shows', { ...show, fields: left, updatedAt: at })]
        : []),
    ],
    sentence:
      unused.length === 1 ? 'Took out what was never used' : `Took out ${unused.length} that were never used`,
    about: [],
  })
}

/** What follows by itself, without what names a line that goes. */
function followed(
  { follow = [] }: { follow?: readonly FollowOn[] | undefined },
  gone: readonly { id: Id }[],
): FollowOn[] {
  const ids = new Set(gone.map((g) => g.id))
  return follow.filter(
    ({ when, then }) =>
      !(when.kind === 'done' && ids.has(when.line)) &&
      !((then.kind === 'hand' || then.kind === 'wait') && ids.has(then.line)),
  )
}
