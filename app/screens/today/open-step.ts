import { useRouter } from 'vue-router'
import type { StepIn } from '@core/views/card'
import { stepGoal } from '../episode/steps'

/** Goes to where a step is done. */
export function useOpenStep(): (step: StepIn) => void {
  const router = useRouter()
  return ({ card, state }) => {
    void router.push({
      name: 'episode',
      params: { code: card.episode.code, stage: stepGoal(card, state.step) },
    })
  }
}

/** What the recipe says of how a step is done. */
export function guidanceOf({ card, state }: StepIn): string | undefined {
  return card.recipe.lines.find((l) => l.id === state.step.line)?.guidance
}

/** The name of the stage that a step belongs to. */
export function stageNameOf({ card, state }: StepIn): string {
  return card.standing.stages.find((s) => s.stage.id === state.step.stage)?.stage.name ?? ''
}
