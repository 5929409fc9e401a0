import type { TitleCandidate } from '../records'

/** Title candidates, the highest score first; those without one follow in the order in which they came. */
export function titlesByScore(titles: readonly TitleCandidate[]): TitleCandidate[] {
  return [...titles].sort((a, b) => (b.score ?? -1) - (a.score ?? -1))
}
