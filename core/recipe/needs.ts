import type { Id } from '../model'
import { fine, refused, type Result } from '../result'

/** What an ordering needs to know of a step or of a recipe's line. */
export interface Needing {
  id: Id
  name: string
  needs: readonly Id[]
}

/**
 * Steps in an order in which each stands after what it needs, keeping the given order where it can
 * (depth-first, as in Cormen et al. 22.4; time linear in steps and needs). Needs that name no step are passed over.
 * Refused with the cycle named where there is one.
 */
export function inOrder<T extends Needing>(steps: readonly T[]): Result<T[]> {
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
  return fine(order)
}
