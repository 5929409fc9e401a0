import { max, median, quantile } from 'd3-array'
import type { Id, Recipe, Show } from '../records'
import { enough } from './claims'
import type { Made } from './made'

/** A stage that is late by the same days every time: its due dates say what nobody keeps. */
export interface AlwaysLate {
  stage: Id
  name: string
  days: number
  cases: number
}

/** How far apart the middle half of the days may be to be the same. */
const same = 1

/**
 * Stages of a recipe whose last step was done late by the same days in the releases given: of at least ten, three quarters a day late or
 * more, and the middle half within a day of each other. Days late are those between its due day, by its lead, and the day it was done.
 */
export function alwaysLate(made: readonly Made[], show: Pick<Show, 'recipe'>, recipe: Recipe): AlwaysLate[] {
  const mine = made.filter((m) => (m.episode.recipe ?? show.recipe) === recipe.id)
  return recipe.stages.flatMap((stage): AlwaysLate[] => {
    const lines = recipe.lines.filter((l) => l.stage === stage.id && l.required)
    const late = mine.flatMap(({ ended }) => {
      const days = max(
        lines.flatMap((l) => {
          const done = ended.get(l.id)
          return l.lead.kind === 'before' && done !== undefined ? [l.lead.days - done] : []
        }),
      )
      return days === undefined ? [] : [days]
    })
    if (late.length < enough) return []
    const [low, middle, high] = [quantile(late, 0.25) ?? 0, median(late) ?? 0, quantile(late, 0.75) ?? 0]
    // Three quarters late, and by much the same.
    return low >= 1 && high - low <= same
      ? [{ stage: stage.id, name: stage.name, days: Math.round(middle), cases: late.length }]
      : []
  })
}
