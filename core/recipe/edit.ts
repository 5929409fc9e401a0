import type { Id, Lead, Recipe, RecipeLine, Stage } from '../records'
import { ok, refused, type Result } from '../result'

type Body = Pick<Recipe, 'stages' | 'lines'>

/**
 * A recipe without one stage and its lines: what built on it builds on what it built on, what needed its
 * lines needs what they needed. Refused for the last stage.
 */
export function withoutStage<R extends Body>(recipe: R, id: Id): Result<R> {
  const gone = recipe.stages.find((s) => s.id === id)
  if (!gone) return refused('This stage is no longer there.', 'recipes.stages')
  if (recipe.stages.length === 1) return refused('A recipe needs at least one stage.', 'recipes.stages')
  const stages = recipe.stages
    .filter((s) => s.id !== id)
    .map((s): Stage =>
      s.after.includes(id)
        ? { ...s, after: [...new Set(s.after.flatMap((a) => (a === id ? gone.after : [a])))] }
        : s,
    )
  let next: R = { ...recipe, stages }
  for (const line of recipe.lines) if (line.stage === id) next = withoutLine(next, line.id)
  return ok(next)
}

/**
 * A lead that was counted from a step which goes: counted from what that one was counted from, so that its
 * due date stays.
 */
export function leadThrough(gone: Lead, days: number): Lead {
  switch (gone.kind) {
    case 'before':
      return { kind: 'before', days: Math.min(365, gone.days + days) }
    case 'ahead':
      return { kind: 'ahead', step: gone.step, days: Math.min(365, gone.days + days) }
    case 'after':
      return gone.days >= days
        ? { kind: 'after', days: gone.days - days }
        : { kind: 'before', days: days - gone.days }
  }
}

/**
 * A recipe without one line: what needed it needs what it needed; a lead that was counted from it is
 * counted on from where its own was.
 */
export function withoutLine<R extends Body>(recipe: R, id: Id): R {
  const gone = recipe.lines.find((l) => l.id === id)
  const lines = recipe.lines
    .filter((l) => l.id !== id)
    .map((l): RecipeLine => ({
      ...l,
      needs: l.needs.includes(id)
        ? [...new Set(l.needs.flatMap((n) => (n === id ? (gone?.needs ?? []) : [n])))]
        : l.needs,
      lead:
        l.lead.kind === 'ahead' && l.lead.step === id
          ? leadThrough(gone?.lead ?? { kind: 'before', days: 0 }, l.lead.days)
          : l.lead,
    }))
  return { ...recipe, lines }
}

/**
 * A recipe with a stage of the creator's own behind another; what built on that one builds on the new one
 * too.
 */
export function withStage<R extends Body>(recipe: R, stage: Pick<Stage, 'id' | 'name'>, behind: Id): R {
  const at = recipe.stages.findIndex((s) => s.id === behind)
  const fresh: Stage = { ...stage, kind: 'own', parts: [], after: at < 0 ? [] : [behind] }
  const stages = recipe.stages.map((s) =>
    at >= 0 && s.after.includes(behind) && s.kind !== 'thumbnail'
      ? { ...s, after: s.after.map((a) => (a === behind ? fresh.id : a)) }
      : s,
  )
  return { ...recipe, stages: [...stages.slice(0, at + 1), fresh, ...stages.slice(at + 1)] }
}

/** A recipe with one stage a place earlier or later in the row. What it builds on stays. */
export function withStageMoved<R extends Body>(recipe: R, id: Id, by: 1 | -1): R {
  const at = recipe.stages.findIndex((s) => s.id === id)
  const to = at + by
  const [mine, other] = [recipe.stages[at], recipe.stages[to]]
  if (!mine || !other) return recipe
  const stages = [...recipe.stages]
  stages[at] = other
  stages[to] = mine
  return { ...recipe, stages }
}

/** Lines with a new one at the end of a stage's, due with the last of them. */
export function withNewLine(lines: readonly RecipeLine[], stage: Id, id: Id): RecipeLine[] {
  const last = lines.findLastIndex((l) => l.stage === stage)
  const lead = lines[last]?.lead
  const line: RecipeLine = {
    id,
    stage,
    name: 'New step',
    kind: lines[last]?.kind ?? 'admin',
    minutes: 30,
    lead: lead?.kind === 'after' ? lead : { kind: 'before', days: lead?.kind === 'before' ? lead.days : 1 },
    needs: [],
    required: true,
  }
  return lines.toSpliced(last + 1, 0, line)
}
