import type { Episode, Figure, Id, Outlet, Show } from '../records'
import { daysBetween } from '../rhythm/days'
import { dayAt } from '../rhythm/zone'

/** What an outlet can be asked to count: a thing that it took from the program and that is out there. */
export interface Countable {
  episode: Id
  outlet: Outlet
  key: Id
  /** Whole days since it went out there. */
  age: number
}

/**
 * Everything that outlets which the program speaks to can be asked about now, each at most once for an age: what has a
 * figure of today's age at its outlet already is left out. Things beside the episode itself are not its figures.
 */
export function countable(
  episodes: Iterable<Episode>,
  shows: ReadonlyMap<Id, Show>,
  outlets: ReadonlyMap<Id, Outlet>,
  now: number,
): Countable[] {
  const found: Countable[] = []
  for (const episode of episodes) {
    const show = shows.get(episode.show)
    if (!show) continue
    for (const [key, { taken }] of Object.entries(episode.handed ?? {})) {
      const outlet = outlets.get(key)
      if (!outlet?.line || !taken || Date.parse(taken.going) > now) continue
      const age = daysBetween(dayAt(Date.parse(taken.going), show.zone), dayAt(now, show.zone))
      const isKnown = episode.figures.some((f) => f.outlet === outlet.id && f.age === age)
      if (age >= 1 && !isKnown) found.push({ episode: episode.id, outlet, key, age })
    }
  }
  return found
}

/** The figure that an answer gives. */
export function figureFrom({ outlet, age }: Countable, { views }: { views: number }): Figure {
  return { age, outlet: outlet.id, views }
}
