import { asForm, formNamed } from '../../form'
import { named } from '../ideas/changed-all'
import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { recipeFor } from '../of-episode'
import { stepsFor } from '../recipes/change-recipe'

/**
 * Says which kind episodes are, by its name in each one's show; without a name none. Where the kind has a
 * recipe they are made by that from now on. Episodes whose show has no such kind are left as they are.
 *
 * Refused:
 * - “It is no longer there.”
 * - “None of these shows makes episodes of that kind. Add it in Shows.”
 */
export const chooseForm: Command<{ episodes: Id[]; form: string | undefined }> = (
  records,
  { episodes, form: name },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  if (found.length === 0) return refused('It is no longer there.', 'episodes')
  const at = momentOf(context)
  const taken = found.flatMap((episode) => {
    const show = records.shows.get(episode.show)
    const form = show && name !== undefined ? formNamed(show, name) : undefined
    return show && (form ?? name === undefined) ? [{ episode, next: asForm(episode, show, form) }] : []
  })
  if (taken.length === 0)
    return refused('None of these shows makes episodes of that kind. Add it in Shows.', 'shows.forms')
  const changes = taken.flatMap(({ episode, next }) => {
    const recipe = next.recipe === episode.recipe ? undefined : recipeFor(records, next)
    return [
      putRecord(records, 'episodes', {
        ...next,
        ...(recipe ? { left: undefined } : {}),
        updatedAt: at,
      }),
      ...(recipe ? stepsFor(records, episode, recipe, at) : []),
    ]
  })
  return ok({
    changes,
    sentence:
      name === undefined
        ? `${named(taken.map((t) => t.episode))} is of no kind now`
        : `${named(taken.map((t) => t.episode))}: ${name}`,
    about: taken.map((t) => t.episode.id),
  })
}
