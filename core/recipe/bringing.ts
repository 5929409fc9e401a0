import type { Part, Recipe, Step } from '../records'
import { partState, type PartState } from '../release/parts'
import { partStep } from './part-steps'
import type { StandingOf } from './progress'

/** Parts that a person may leave out, or say by a tick that they are there, also where an outlet requires them. */
const tickable: ReadonlySet<Part> = new Set(['script', 'shots', 'length'])

/**
 * How a part stands. One whose step was ticked by hand counts as there, but where an outlet requires it: what must go
 * out with the release is missing until it is there.
 */
export function partOrTick(part: Part, of: StandingOf, required: readonly Part[]): PartState {
  const state = partState(part, of)
  return state.state !== 'there' &&
    (tickable.has(part) || !required.includes(part)) &&
    of.steps.some((s) => s.part === part && s.doneAt !== undefined)
    ? { ...state, state: 'there', sentence: 'ticked by hand' }
    : state
}

/** The parts that a recipe's stages ask for before the release, by recipe: every episode made by it asks for the same. */
const asked = new WeakMap<Recipe, readonly Part[]>()

function partsOf(recipe: Recipe): readonly Part[] {
  let parts = asked.get(recipe)
  if (!parts) {
    const before = recipe.stages.filter((s) => s.kind !== 'after')
    asked.set(recipe, (parts = before.flatMap((s) => [...s.parts, ...(s.settled ?? [])])))
  }
  return parts
}

/**
 * The work of bringing parts that are asked for and that no open step brings; none for what is not in work.
 */
export function bringing(of: StandingOf, required: readonly Part[], part: (p: Part) => PartState): Step[] {
  const { episode, recipe, steps } = of
  if (episode.phase.kind !== 'work') return []
  return [...new Set([...required, ...partsOf(recipe)])].flatMap((p) => {
    const { state } = part(p)
    if (state === 'there') return []
    if (steps.some((s) => s.part === p && s.required && s.doneAt === undefined)) return []
    const made = partStep(p, {
      episode,
      kind: of.show.kind,
      recipe,
      steps,
      at: episode.createdAt,
      failing: state === 'failing',
      minutes: of.partMinutes?.[p],
    })
    return steps.some((s) => s.id === made.id) ? [] : [made]
  })
}
