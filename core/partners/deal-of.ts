import type { AskedRead, Day, Deal, Episode, Show } from '../records'
import { dayIn } from '../rhythm/creator'
import { releaseOf } from '../rhythm/slots'
import { folded } from './names'

/** Whether a deal is with a sponsor, by their name. */
export function isWith(deal: Pick<Deal, 'sponsor'>, sponsor: string): boolean {
  return folded(deal.sponsor) === folded(sponsor)
}

/**
 * The deal that an episode's read belongs to: its sponsor's in its show, the one that holds on the day of its release; without a day, or
 * outside of all, the last one made. Nothing without a sponsor or a deal.
 */
export function dealOf(
  deals: Iterable<Deal>,
  episode: Pick<Episode, 'show' | 'sponsor'>,
  day: Day | undefined,
): Deal | undefined {
  const { show, sponsor } = episode
  if (sponsor === undefined) return undefined
  const mine = [...deals]
    .filter((d) => d.show === show && isWith(d, sponsor))
    .sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.id < b.id ? -1 : 1))
  if (day === undefined) return mine.at(-1)
  return mine.findLast((d) => d.from <= day && (d.to === undefined || day <= d.to))
}

/** What was asked of the read in an episode: what was said there, else what its deal says. The one place that knows. */
export function readAsked(
  episode: Pick<Episode, 'sponsor' | 'read'>,
  deal: Deal | undefined,
): (AskedRead & { sponsor: string }) | undefined {
  if (episode.sponsor === undefined) return undefined
  const { words = '', seconds, place } = deal ?? {}
  const own = episode.read
  const [lasts, at] = [own?.seconds ?? seconds, own?.place ?? place]
  return {
    words: own?.words || words,
    ...(lasts === undefined ? {} : { seconds: lasts }),
    ...(at === undefined ? {} : { place: at }),
    sponsor: episode.sponsor,
  }
}

/** The day on which an episode went out or is to go out, in its show's zone. */
export function releaseDay(episode: Episode, show: Show): Day | undefined {
  return episode.phase.kind === 'released'
    ? dayIn(episode.phase.at, show.zone)
    : releaseOf(episode, show)?.day
}

/** The deal of an episode as it is placed now. */
export function dealFor(deals: ReadonlyMap<string, Deal>, episode: Episode, show: Show): Deal | undefined {
  return deals.size === 0 || episode.sponsor === undefined
    ? undefined
    : dealOf(deals.values(), episode, releaseDay(episode, show))
}
