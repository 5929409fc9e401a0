import { stepsToAdd } from '../../recipe/apply'
import { lineFor } from '../../recipe/differences'
import type { Id, Recipe, RecipeLine, Step } from '../../records'
import { ok, refused } from '../../result'
import { type Change, type Command, momentOf, putRecord, removeRecord } from '../change'
import { stepsOf } from '../of-episode'
import { openDifferences } from './open-differences'

/**
 * Takes some differences of a changed recipe and leaves others; either way they are not offered again.
 * Those that are no longer there are passed over.
 *
 * Refused:
 * - “These differences are settled already.”
 */
export const settleDifferences: Command<{ recipe: Id; take: string[]; leave: string[] }> = (
  records,
  { recipe: id, take, leave },
  context,
) => {
  const recipe = records.recipes.get(id)
  const open = openDifferences(records, id)
  const at = momentOf(context)
  const changes: Change[] = []
  const left = new Map<Id, Id[]>()
  const chosen = open.filter((d) => take.includes(d.key) || leave.includes(d.key))
  if (!recipe || chosen.length === 0) return refused('These differences are settled already.', 'recipes')
  const goneBy = new Set<Id>()
  for (const d of chosen) {
    const taken = take.includes(d.key)
    if (d.kind === 'more') {
      const step = stepsToAdd({ ...recipe, lines: [d.line] }, d.episode, stepsOf(records, d.episode), at)[0]
      if (taken && step)
        changes.push(
          putRecord(records, 'steps', {
            ...step,
            order: orderIn(recipe, d.line, stepsOf(records, d.episode)),
          }),
        )
      else left.set(d.episode, [...(left.get(d.episode) ?? []), d.line.id])
    } else if (d.kind === 'other') {
      const { name, minutes, stage, kind, required, part, changedAt } = d.line
      changes.push(
        putRecord(
          records,
          'steps',
          taken
            ? {
                ...d.step,
                name,
                minutes,
                stage,
                kind,
                required,
                part,
                owner: d.line.owner ?? 'me',
                ...lineFor(d.line, d.episode),
                asOf: changedAt,
                updatedAt: at,
              }
            : { ...d.step, asOf: changedAt, updatedAt: at },
        ),
      )
    } else if (taken) {
      goneBy.add(d.step.id)
      changes.push(removeRecord(records, 'steps', d.step.id))
    } else left.set(d.episode, [...(left.get(d.episode) ?? []), d.step.id])
  }
  for (const [episode, ids] of left) {
    const e = records.episodes.get(episode)
    if (e)
      changes.push(putRecord(records, 'episodes', { ...e, left: [...(e.left ?? []), ...ids], updatedAt: at }))
  }
  const touched = new Set(changes.map((c) => c.id))
  for (const s of records.steps.values())
    if (!touched.has(s.id) && s.needs.some((n) => goneBy.has(n)))
      changes.push(
        putRecord(records, 'steps', { ...s, needs: s.needs.filter((n) => !goneBy.has(n)), updatedAt: at }),
      )
  const count = chosen.filter((d) => take.includes(d.key)).length
  return ok({
    changes,
    sentence:
      count === 0
        ? `Left ${chosen.length} ${chosen.length === 1 ? 'change' : 'changes'} of “${recipe.name}”`
        : `Took ${count} ${count === 1 ? 'change' : 'changes'} of “${recipe.name}”`,
    about: [...new Set(chosen.map((d) => d.episode))],
  })
}

/**
 * Where a new line's step stands among an episode's: right behind that of the line before it in the recipe.
 */
function orderIn(recipe: Recipe, line: RecipeLine, steps: readonly Step[]): number {
  const before = recipe.lines
    .slice(
      0,
      recipe.lines.findIndex((l) => l.id === line.id),
    )
    .reverse()
    .flatMap((l) => steps.find((s) => s.line === l.id) ?? [])[0]
  const next = before && steps.filter((s) => s.order > before.order).sort((a, b) => a.order - b.order)[0]
  return before ? (before.order + (next?.order ?? before.order + 1)) / 2 : -1
}
