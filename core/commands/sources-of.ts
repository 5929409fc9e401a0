import { dealFor } from '../partners/deal-of'
import { workingDays } from '../recipe/due'
import type { StandingOf } from '../recipe/progress'
import type { Id, Records } from '../records'
import { type Context, momentOf } from './change'
import { recipeFor, stepsOf } from './of-episode'
import { freshSettings } from './settings/fresh-settings'
import { todayOf } from './step-of'

/** All that the standing of an episode is derived from, as records are now; nothing where it has no show or recipe. */
export function sourcesOf(records: Records, id: Id, context: Context): StandingOf | undefined {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  const recipe = episode && recipeFor(records, episode)
  return episode && show && recipe
    ? {
        episode,
        show,
        recipe,
        outlets: show.outlets.flatMap((o) => records.outlets.get(o) ?? []),
        script: records.scripts.get(id),
        steps: stepsOf(records, id),
        deal: dealFor(records.deals, episode, show),
        today: todayOf(records, context),
        works: workingDays(records.settings.get('settings') ?? freshSettings(momentOf(context))),
      }
    : undefined
}

/** The records as far as some episodes go, so that looking ahead copies no thousands of others. */
export function slicedTo(records: Records, ids: ReadonlySet<Id>): Records {
  const of = <R>(map: ReadonlyMap<Id, R>) =>
    new Map(
      [...ids].flatMap((id) => {
        const one = map.get(id)
        return one === undefined ? [] : [[id, one] as const]
      }),
    )
  return {
    ...records,
    episodes: of(records.episodes),
    scripts: of(records.scripts),
    steps: new Map([...records.steps].filter(([, s]) => ids.has(s.episode))),
  }
}
