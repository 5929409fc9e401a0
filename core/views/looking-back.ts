import type { Day, Episode, Id } from '../records'
import { daysBetween } from '../rhythm/days'
import { dayIn } from '../rhythm/creator'
import type { Zone } from '../records'

/** How long after a release it is asked about, days. */
const asked = 10

/**
 * The latest release that nobody looked back on yet, while it is fresh: out for a day and for no more than ten. Nothing
 * else is asked about, so that it never becomes a duty. `released` the latest first.
 */
export function toLookBack(released: readonly Episode[], today: Day, zone: Zone): Episode | undefined {
  const [last] = released
  if (last?.phase.kind !== 'released' || last.lookedBack !== undefined) return undefined
  const days = daysBetween(dayIn(last.phase.at, zone), today)
  return days >= 1 && days <= asked ? last : undefined
}

/**
 * What was said of the last releases of the same show and kind, the latest first: what to bear in mind when the next one
 * begins.
 */
export function saidBefore(
  released: readonly Episode[],
  { id, show, form }: Pick<Episode, 'show' | 'form'> & { id: Id },
  count = 2,
): { episode: Episode; said: NonNullable<Episode['lookedBack']> }[] {
  return released
    .flatMap((episode) =>
      episode.id !== id && episode.show === show && episode.form === form && episode.lookedBack
        ? [{ episode, said: episode.lookedBack }]
        : [],
    )
    .filter(({ said }) => said.well !== '' || said.change !== '')
    .slice(0, count)
}
