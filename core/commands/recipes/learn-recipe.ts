import type { Id, Records, StepKind } from '../../records'
import { ok, refused, type Result } from '../../result'
import type { Command, Context, Outcome } from '../change'
import { editRecipe } from './edit-recipe'

/**
 * Plans all steps of a kind at what they really take: their minutes times `times`, in fives.
 *
 * Refused:
 * - “This recipe is no longer there.”
 * - “It plans that already.”
 */
export const planMinutes: Command<{ recipe: Id; kind: StepKind; times: number }> = (
  records,
  { recipe: id, kind, times },
  context,
) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const lines = recipe.lines.map((l) =>
    l.kind === kind ? { ...l, minutes: Math.max(5, Math.round((l.minutes * times) / 5) * 5) } : l,
  )
  if (lines.every((l, i) => l.minutes === recipe.lines[i]?.minutes))
    return refused('It plans that already.', 'recipes.lines')
  const done = editRecipe(records, { recipe: id, fields: { lines } }, context)
  return done.ok
    ? ok({ ...done.value, sentence: `“${recipe.name}” plans ${kind} at ${times.toFixed(1)} times as much` })
    : done
}

/** A stage's steps before the release with so many days more before it; fewer where `by` is below nothing, down to none. */
function leadsMoved(
  records: Records,
  { recipe: id, stage, by }: { recipe: Id; stage: Id; by: number },
  context: Context,
  words: { none: string; says: string },
): Result<Outcome> {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const moved = (days: number) => Math.max(0, Math.min(365, days + Math.round(by)))
  const lines = recipe.lines.map((l) =>
    l.stage === stage && l.lead.kind === 'before'
      ? { ...l, lead: { ...l.lead, days: moved(l.lead.days) } }
      : l,
  )
  if (JSON.stringify(lines) === JSON.stringify(recipe.lines)) return refused(words.none, 'recipes.lines')
  const done = editRecipe(records, { recipe: id, fields: { lines } }, context)
  const name = recipe.stages.find((s) => s.id === stage)?.name ?? 'A stage'
  const sentence = `${name} ${words.says.replace('{days}', String(Math.abs(Math.round(by))))} in “${recipe.name}”`
  return done.ok ? ok({ ...done.value, sentence }) : done
}

/**
 * Begins a stage so many days earlier: its steps before the release get that many days more.
 *
 * Refused:
 * - “This recipe is no longer there.”
 * - “Nothing of this stage can begin earlier.”
 */
export const beginEarlier: Command<{ recipe: Id; stage: Id; days: number }> = (records, wish, context) =>
  leadsMoved(records, { ...wish, by: Math.max(0, wish.days) }, context, {
    none: 'Nothing of this stage can begin earlier.',
    says: 'begins {days} d earlier',
  })

/**
 * Has a stage due so many days later, as it is done in any case: its steps before the release get that many days fewer, down to none.
 *
 * Refused:
 * - “This recipe is no longer there.”
 * - “Nothing of this stage can be due later.”
 */
export const dueLater: Command<{ recipe: Id; stage: Id; days: number }> = (records, wish, context) =>
  leadsMoved(records, { ...wish, by: -Math.max(0, wish.days) }, context, {
    none: 'Nothing of this stage can be due later.',
    says: 'is due {days} d later',
  })
