import type { Step } from '@core/records'
import { requiredParts, type PartState } from '@core/release/parts'
import type { Card } from '@core/views/card'

/** Whether a step may be ticked by hand: a physical act, or one whose part a person may leave out. */
export function stepTicks(step: Pick<Step, 'part'>): boolean {
  return step.part === undefined || ['shots', 'length', 'script'].includes(step.part)
}

const places: Record<string, string> = {
  brief: 'brief',
  title: 'brief',
  description: 'brief',
  tags: 'brief',
  script: 'script',
  shots: 'film',
  length: 'edit',
  picture: 'thumbnail',
  thumbnail: 'thumbnail',
  chapters: 'edit',
  links: 'release',
  keyword: 'brief',
}

/** The stage in whose workspace a step is done: where its part is, else its own stage. */
export function stepGoal(card: Card, step: Step): string {
  const place = step.part === undefined ? undefined : places[step.part]
  const stage =
    card.recipe.stages.find((s) => s.kind === place) ?? card.recipe.stages.find((s) => s.id === step.stage)
  return stage?.id ?? step.stage
}

/** What completes a step by being there, in words; nothing for one that is ticked. */
export function completedBy(step: Pick<Step, 'part'>): string | undefined {
  switch (step.part) {
    case undefined:
      return undefined
    case 'brief':
      return 'done when the takeaway and three points are there'
    case 'title':
      return 'done when a title is chosen'
    case 'script':
      return 'done when every section has words and it lasts half the aim, or when ticked'
    case 'shots':
      return 'done when every shot is ticked'
    case 'length':
      return 'done when the length is typed'
    case 'picture':
      return 'done when a picture is there'
    case 'thumbnail':
      return 'done when one is chosen'
    case 'description':
      return 'done when it is written'
    case 'tags':
      return 'done when the tags fit'
    case 'chapters':
      return 'done when the chapters pass'
    case 'keyword':
      return 'done when a keyword is chosen'
    case 'links':
      return 'done when links are listed'
  }
}

/** What is said once of a step that was ticked by hand though what completes it is not there. */
export function ticked(state: PartState, card: Card): string {
  const asking = card.outlets.filter((o) => requiredParts([o]).includes(state.part)).map((o) => o.name)
  return asking.length > 0
    ? `Ticked by hand. ${state.name} is still missing for ${asking.join(' and ')}: ${state.sentence}.`
    : `Ticked by hand, without it: ${state.name.toLowerCase()}, ${state.sentence}.`
}
