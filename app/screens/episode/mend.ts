import type { Router } from 'vue-router'
import type { Missing } from '@core/recipe/progress'
import { strictest } from '@core/release/parts'
import { dropTags } from '@core/commands/episode'
import { tickItem, tickStep } from '@core/commands/work'
import type { Card } from '@core/views/card'
import type { useLibrary } from '@app/stores/library'
import { stepGoal, stepTicks } from './steps'

/** The words on the button that mends something missing. */
export function mendLabel(missing: Missing): string {
  if (missing.kind === 'part') return missing.mend.label
  if (missing.kind === 'item') return 'Tick it'
  if (missing.kind === 'licence') return 'Note it'
  if (missing.kind === 'material') return 'See it'
  if (missing.kind === 'read') return missing.check === 'read' ? 'Write it' : 'Mend it'
  return missing.step.waiting
    ? 'See it'
    : stepTicks(missing.step) && missing.step.kind === 'admin'
      ? 'Tick it'
      : 'Go to it'
}

/** The stage of an episode's recipe that has a place of the trade's row. */
export function stageWith(card: Card, kind: string): string {
  return card.recipe.stages.find((s) => s.kind === kind)?.id ?? card.recipe.stages[0]?.id ?? kind
}

/** Mends what is missing: at once where that can be, else by going to where it is done. */
export function mend(
  card: Card,
  missing: Missing,
  library: ReturnType<typeof useLibrary>,
  router: Router,
): void {
  const go = (stage: string, focus?: string) => {
    void router.push({
      name: 'episode',
      params: { code: card.episode.code, stage },
      query: focus ? { at: focus } : {},
    })
  }
  if (missing.kind === 'part') {
    if (missing.mend.focus === 'fit-tags')
      void library.perform(dropTags, { episode: card.episode.id, limit: strictest(card.outlets).tags })
    else
      go(
        card.recipe.stages.find((s) => s.kind === missing.mend.stage)?.id ?? missing.mend.stage,
        missing.mend.focus,
      )
  } else if (missing.kind === 'material') go(stageWith(card, 'film'), missing.material)
  else if (missing.kind === 'read') {
    const isWritten = missing.check === 'written'
    go(stageWith(card, isWritten ? 'brief' : 'script'), isWritten ? 'description' : undefined)
  } else if (missing.kind === 'licence') {
    // A clip was noted at the edit, a cue in the script.
    const isClip = card.episode.clips?.some((c) => c.id === missing.cue) ?? false
    go(stageWith(card, isClip ? 'edit' : 'script'), missing.cue)
  } else if (missing.kind === 'item')
    void library.perform(tickItem, { episode: card.episode.id, item: missing.item, on: true })
  else if (mendLabel(missing) === 'Tick it')
    void library.perform(tickStep, { step: missing.step.id, done: true })
  else go(stepGoal(card, missing.step))
}
