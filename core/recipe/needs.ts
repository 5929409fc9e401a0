import type { Id, Stage } from '../records'
import { ok, refused, type Result } from '../result'

/** What an ordering needs to know of a step or of a recipe's line. */
export interface Needing {
  id: Id
  name: string
  needs: readonly Id[]
}

/**
 * Steps in an order in which each stands after what it needs, keeping the given order where it can
 * (depth-first, as in Cormen et al. 22.4; time linear in steps and needs). Needs that name no step are
 * passed over. Refused with the cycle named where there is one.
 */
export function inOrder<T extends Needing>(steps: readonly T[]): Result<T[]> {
  if (standsInOrder(steps)) return ok([...steps])
  const byId = new Map(steps.map((s) => [s.id, s]))
  const state = new Map<Id, 'on the way' | 'placed'>()
  const order: T[] = []
  const path: T[] = []
  const visit = (step: T): string | undefined => {
    if (state.get(step.id) === 'placed') return undefined
    if (state.get(step.id) === 'on the way') {
      const ring = [...path.slice(path.findIndex((s) => s.id === step.id)), step]
      return ring.map((s) => `“${s.name}”`).join(' needs ')
    }
    state.set(step.id, 'on the way')
    path.push(step)
    for (const need of step.needs) {
      const other = byId.get(need)
      const cycle = other && visit(other)
      if (cycle) return cycle
    }
    path.pop()
    state.set(step.id, 'placed')
    order.push(step)
    return undefined
  }
  for (const step of steps) {
    const cycle = visit(step)
    if (cycle)
      return refused(
        `These steps wait for each other in a circle: ${cycle}. Take one of these needs away.`,
        'needs',
      )
  }
  return ok(order)
}

/** Whether each already stands after what it needs. */
function standsInOrder(steps: readonly Needing[]): boolean {
  const before = new Set<Id>()
  /** Needed before it came; what never comes names no step. */
  let awaited: Set<Id> | undefined
  for (const { id, needs } of steps) {
    for (const need of needs) if (!before.has(need)) (awaited ??= new Set()).add(need)
    if (awaited?.has(id)) return false
    before.add(id)
  }
  return true
}

/** What a need that follows from stages is read from. */
interface Staged {
  id: Id
  stage: Id
  needs: readonly Id[]
  required: boolean
}

/**
 * What each step needs, by its id: what it says itself, and where a stage of the creator's own builds on
 * another one (or another one on it), the required steps of that stage. A stage without such steps hands on
 * those of the stages that it builds on.
 */
export function needsByStages(steps: readonly Staged[], stages: readonly Stage[]): Map<Id, readonly Id[]> {
  const needs = new Map<Id, readonly Id[]>()
  if (!stages.some((s) => s.kind === 'own')) {
    for (const s of steps) needs.set(s.id, s.needs.length < 2 ? s.needs : [...new Set(s.needs)])
    return needs
  }
  const byId = new Map(stages.map((s) => [s.id, s]))
  const stepsIn = (stage: Id, path: readonly Id[]): Id[] => {
    const mine = steps.filter((s) => s.stage === stage && s.required).map((s) => s.id)
    if (mine.length > 0 || path.includes(stage)) return mine
    return (byId.get(stage)?.after ?? []).flatMap((a) => stepsIn(a, [...path, stage]))
  }
  for (const step of steps) {
    const stage = byId.get(step.stage)
    const implied = (stage?.after ?? []).flatMap((a) =>
      stage?.kind === 'own' || byId.get(a)?.kind === 'own' ? stepsIn(a, [step.stage]) : [],
    )
    needs.set(
      step.id,
      [...new Set([...step.needs, ...implied])].filter((n) => n !== step.id),
    )
  }
  return needs
}
