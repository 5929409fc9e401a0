import type { StepIn } from './card'

/** What a step that ends by itself still lacks, in a sentence: “The title isn’t there yet: not chosen.” */
export function endedBy({ card, state }: StepIn): string {
  const { part, name } = state.step
  const found = card.standing.missing.find((m) => m.kind === 'part' && m.part === part)
  return found
    ? `${name} isn’t done yet. ${found.name}: ${found.sentence}.`
    : `${name} is done as soon as its part is there.`
}
