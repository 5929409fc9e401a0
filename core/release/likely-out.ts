import type { EpisodeProgress } from '../recipe/progress'

/**
 * When an episode that is said to be out most likely went out, in ms: at its release moment, since that is when it was to;
 * now, where something that it needs was ended after that moment though it was not scheduled, or the moment is to come.
 */
export function likelyOut(
  { release, scheduled, steps }: Pick<EpisodeProgress, 'release' | 'scheduled' | 'steps'>,
  now: number,
): number {
  if (!release || release.at > now) return now
  if (scheduled) return release.at
  const ended = steps.flatMap(({ step }) =>
    step.required && step.lead.kind !== 'after' ? [step.doneAt ?? step.litAt ?? ''] : [],
  )
  const isLater = ended.some((at) => at !== '' && Date.parse(at) > release.at)
  return isLater ? now : release.at
}
