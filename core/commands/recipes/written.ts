import { recipeFault } from '../../recipe/fault'
import { type Recipe, type RecipeLine, Recipe as RecipeSchema } from '../../records'
import { unknownWords } from '../../release/description'
import { type Result, ok, refused } from '../../result'
import { type Context, momentOf } from '../change'

/** The fields of a recipe that people change. */
export type RecipeFields = Partial<Omit<Recipe, 'id' | 'createdAt' | 'updatedAt'>>

/**
 * Lines that differ from before are marked as changed now, so that what was made from them can be compared.
 */
function marked(lines: readonly RecipeLine[], before: readonly RecipeLine[], at: string): RecipeLine[] {
  const old = new Map(before.map((l) => [l.id, JSON.stringify({ ...l, changedAt: undefined })]))
  return lines.map((l) =>
    old.get(l.id) === JSON.stringify({ ...l, changedAt: undefined }) ? l : { ...l, changedAt: at },
  )
}

export function written(recipe: Recipe, fields: RecipeFields, context: Context): Result<Recipe> {
  const at = momentOf(context)
  const next = {
    ...recipe,
    ...fields,
    ...(fields.lines ? { lines: marked(fields.lines, recipe.lines, at) } : {}),
    updatedAt: at,
  }
  const fault = recipeFault(next)
  if (!fault.ok) return fault
  const unknown = fields.pattern === undefined ? [] : unknownWords(fields.pattern)
  if (unknown.length > 0)
    return refused(
      `“{${unknown[0] ?? ''}}” is not a word of the pattern. Use {description}, {chapters}, {links}, {guests}, {sponsor}, {title} or {call}.`,
      'recipes.pattern',
    )
  const read = RecipeSchema.safeParse(next)
  return read.success
    ? ok(read.data)
    : refused(
        read.error.issues[0]?.message ?? 'This cannot be kept.',
        ['recipes', ...(read.error.issues[0]?.path ?? [])].map(String).join('.'),
      )
}
