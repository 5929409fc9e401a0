import { median } from 'd3-array'
import type { Episode } from '../records'
import { countedAt, lastViews } from './at-age'

/** How many releases a usual is made from at most, and how many it takes at least. */
const most = 10
const least = 3

/** How an episode did against its usual: views at an age, what is usual there, and of how many that is the middle. */
export interface AgainstUsual {
  age: number
  views: number
  usual: number
  cases: number
  times: number
}

/**
 * How each released episode of one show did against its usual (`engine` 12, 16): its views at the greatest age that was
 * counted, or at the one asked for, over the median of the ten of its kind before it at the same age. Nothing for the
 * first three, which have no usual yet. `released` in the order of release; `of` are those that are asked about, all
 * where nothing is said.
 */
export function againstUsual(
  released: readonly Episode[],
  { at, of = () => true }: { at?: number; of?: (episode: Episode) => boolean } = {},
): Map<string, AgainstUsual> {
  const found = new Map<string, AgainstUsual>()
  const earlier = new Map<string, Episode[]>()
  // Each is asked about again by the ten after it.
  const counted = new Map<string, number | undefined>()
  const viewsOf = (e: Episode, age: number) => {
    const key = `${age} ${e.id}`
    if (!counted.has(key)) counted.set(key, countedAt(e, age))
    return counted.get(key)
  }
  for (const episode of released) {
    const kind = episode.form ?? ''
    const before = (earlier.get(kind) ?? []).slice(-most)
    earlier.set(kind, [...before, episode])
    if (!of(episode)) continue
    const age = at ?? lastViews(episode)?.age
    const views = age === undefined ? undefined : viewsOf(episode, age)
    if (age === undefined || views === undefined) continue
    const others = before.flatMap((e) => viewsOf(e, age) ?? [])
    const usual = others.length < least ? undefined : median(others)
    if (usual) found.set(episode.id, { age, views, usual, cases: others.length, times: views / usual })
  }
  return found
}

/** The multiples alone. */
export function timesUsual(released: readonly Episode[]): Map<string, number> {
  return new Map([...againstUsual(released)].map(([id, { times }]) => [id, times]))
}
