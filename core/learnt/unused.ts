import type { Episode, Recipe, Show } from '../records'
import { enough } from './claims'
import type { Made } from './made'

/** Something of a show's own that nobody used in a quarter. */
export type Unused =
  | { kind: 'line'; id: string; name: string; cases: number }
  | { kind: 'field'; id: string; name: string; cases: number }

/**
 * What was never used by the last releases of a show, at least ten: steps of the recipe that were never done, own fields
 * that nobody filled in.
 */
export function unusedOf(made: readonly Made[], show: Show, recipe: Recipe): Unused[] {
  const cases = made.filter((m) => (m.episode.recipe ?? show.recipe) === recipe.id)
  if (cases.length < enough) return []
  const has = (m: Made, line: string) => m.lines.has(line)
  const lines = recipe.lines
    .filter((l) => l.part === undefined && cases.every((m) => has(m, l.id) && m.lines.get(l.id) === false))
    .map((l): Unused => ({ kind: 'line', id: l.id, name: l.name, cases: cases.length }))
  const fields = show.fields
    .filter((f) => cases.every((m) => isEmpty(m.episode, f.id)))
    .map((f): Unused => ({ kind: 'field', id: f.id, name: f.name, cases: cases.length }))
  return [...lines, ...fields]
}

function isEmpty(episode: Episode, field: string): boolean {
  const value = episode.idea.own[field]
  return value === undefined || value === '' || value === false || value === 0
}
