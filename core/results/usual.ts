import { median } from 'd3-array'
import type { Episode } from '../records'

/**
 * How each released episode of one show did against its usual (`engine` 12): its views at the greatest age
 * it has figures for,
 * over the median of the ten before it at the same age. Nothing for the first three, which have no usual yet.
 * `released` in the order of release.
 */
export function timesUsual(released: readonly Episode[]): Map<string, number> {
  const multiples = new Map<string, number>()
  released.forEach((episode, i) => {
    const last = episode.figures.at(-1)
    if (!last) return
    const before = released
      .slice(Math.max(0, i - 10), i)
      .flatMap((e) => e.figures.find((f) => f.age === last.age)?.views ?? [])
    const usual = before.length < 3 ? undefined : median(before)
    if (usual) multiples.set(episode.id, last.views / usual)
  })
  return multiples
}
