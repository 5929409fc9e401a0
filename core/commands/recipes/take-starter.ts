import { stepsToAdd } from '../../recipe/apply'
import { fullRecipe, smallRecipe } from '../../recipe/starters'
import type { Episode, Id, Recipe, Records, Show } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepsOf } from '../of-episode'

/**
 * Gives a show another starter recipe in place of its first; its episodes in work get the steps they lack.
 * What they have stays.
 *
 * Refused:
 * - “This show is no longer there.”
 */
export const takeStarter: Command<{ show: Id; starter: 'small' | 'full' }> = (
  records,
  { show: id, starter },
  context,
) => {
  const show = records.shows.get(id)
  const old = show && records.recipes.get(show.recipe)
  if (!show || !old) return refused('This show is no longer there.', 'shows')
  const at = momentOf(context)
  const fresh =
    starter === 'full' ? fullRecipe(context.id(), show.kind, at) : smallRecipe(context.id(), show.kind, at)
  const recipe: Recipe = { ...fresh, pattern: old.pattern, call: old.call, outline: old.outline }
  const mine = workOf(records, show).filter((e) => e.recipe === undefined)
  // Lines that share an id are the same piece of work: a small recipe's untouched step gives way to the
  // full one's of the same line.
  const steps = mine.flatMap((e) =>
    stepsToAdd(recipe, e.id, stepsOf(records, e.id), at).map((s) => putRecord(records, 'steps', s)),
  )
  return ok({
    changes: [
      putRecord(records, 'recipes', recipe),
      putRecord(records, 'shows', { ...show, recipe: recipe.id, updatedAt: at }),
      ...steps,
    ],
    sentence: `${show.title} now uses “${recipe.name}”`,
    about: mine.map((e) => e.id),
  })
}

function workOf(records: Records, show: Show): Episode[] {
  return [...records.episodes.values()].filter((e) => e.show === show.id && e.phase.kind === 'work')
}
