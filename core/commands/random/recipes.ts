import { addRecipe, removeRecipe } from '../recipes/add-recipe'
import { copyEpisode } from '../episode/copy-episode'
import { editLine } from '../recipes/edit-line'
import { editRecipe } from '../recipes/edit-recipe'
import { firstRecipe } from '../recipes/first-recipe'
import { beginEarlier, dueLater, planMinutes } from '../recipes/learn-recipe'
import { leaveOutStage } from '../recipes/leave-out-stage'
import { openDifferences } from '../recipes/open-differences'
import { settleDifferences } from '../recipes/settle-differences'
import { takeOut } from '../recipes/take-out'
import { takeStarter } from '../recipes/take-starter'
import { changeRecipe } from '../recipes/change-recipe'

import type { Deed } from './chance'
import { one, word, episode, inPhase, show, recipe, chosenStage } from './chance'

/** Random deeds: recipes. */
export const recipesDeeds = {
  editRecipe: (x) =>
    editRecipe(
      x.r,
      {
        recipe: recipe(x),
        fields: x.n(2)
          ? {
              call: word(x),
              checklists: [
                {
                  id: 'list',
                  stage: chosenStage(x),
                  name: 'Before filming',
                  items: [{ id: `item${x.n(3)}`, text: 'Charge the lamp', required: x.n(2) > 0 }],
                },
              ],
            }
          : {
              follow: [
                {
                  id: 'f1',
                  when: { kind: 'lit', stage: chosenStage(x) },
                  then: { kind: 'note', text: 'Back up' },
                },
              ],
            },
      },
      x.c,
    ),
  takeOut: (x) => {
    const of = recipe(x)
    const line = one(x.r.recipes.get(of)?.lines ?? [], x)
    return takeOut(
      x.r,
      { show: show(x), recipe: of, unused: [{ kind: 'line', id: line?.id ?? 'none' }] },
      x.c,
    )
  },
  planMinutes: (x) => planMinutes(x.r, { recipe: recipe(x), kind: 'write', times: 0.8 + x.n(6) / 10 }, x.c),
  beginEarlier: (x) => beginEarlier(x.r, { recipe: recipe(x), stage: chosenStage(x), days: x.n(5) }, x.c),
  dueLater: (x) => dueLater(x.r, { recipe: recipe(x), stage: chosenStage(x), days: x.n(5) }, x.c),
  editLine: (x) => {
    const found = x.r.recipes.get(recipe(x))
    const line = one(found?.lines ?? [], x)
    const blank = {
      id: 'none',
      stage: '',
      name: 'x',
      kind: 'admin' as const,
      minutes: 1,
      lead: { kind: 'before' as const, days: 0 },
      needs: [],
      required: true,
    }
    return editLine(
      x.r,
      { recipe: found?.id ?? '', line: { ...(line ?? blank), minutes: 15 + x.n(200) } },
      x.c,
    )
  },
  leaveOutStage: (x) => {
    const found = x.r.recipes.get(recipe(x))
    return leaveOutStage(x.r, { recipe: found?.id ?? '', stage: one(found?.stages ?? [], x)?.id ?? '' }, x.c)
  },
  settleDifferences: (x) => {
    const id = one(
      [...x.r.recipes.keys()].filter((k) => openDifferences(x.r, k).length > 0),
      x,
    )
    const keys = id === undefined ? [] : openDifferences(x.r, id).map((d) => d.key)
    return settleDifferences(
      x.r,
      {
        recipe: id ?? recipe(x),
        take: keys.filter((_, i) => i % 2 === 0),
        leave: keys.filter((_, i) => i % 2 === 1),
      },
      x.c,
    )
  },
  addRecipe: (x) =>
    addRecipe(
      x.r,
      {
        show: show(x),
        name: `${word(x)} ${x.n(99)}`,
        from: one(['small', 'full', { recipe: recipe(x) }] as const, x) ?? 'small',
      },
      x.c,
    ),
  removeRecipe: (x) => {
    const s = x.r.shows.get(show(x))
    return removeRecipe(x.r, { show: s?.id ?? '', recipe: one(s?.recipes ?? [], x) ?? '' }, x.c)
  },
  firstRecipe: (x) => {
    const s = x.r.shows.get(show(x))
    return firstRecipe(x.r, { show: s?.id ?? '', recipe: one(s?.recipes ?? [], x) ?? '' }, x.c)
  },
  changeRecipe: (x) => {
    const e = x.r.episodes.get(inPhase(x, 'work', 'idea'))
    const s = x.r.shows.get(e?.show ?? '')
    const all = s ? [s.recipe, ...(s.recipes ?? [])] : []
    return changeRecipe(x.r, { episode: e?.id ?? '', recipe: one(all, x) ?? '' }, x.c)
  },
  takeStarter: (x) => takeStarter(x.r, { show: show(x), starter: x.n(2) ? 'full' : 'small' }, x.c),
  copyEpisode: (x) => copyEpisode(x.r, { episode: episode(x), texts: x.n(2) > 0 }, x.c),
} satisfies Record<string, Deed>
