import { ascending } from 'd3-array'
import { episodeDescription } from '../release/parts'
import { recipeFor } from '../commands/of-episode'
import type { Day, Deal, Episode, Id, Records, Reservation, Show } from '../records'
import { dealOf, isWith, releaseDay } from './deal-of'
import {
  readChecks,
  readStanding,
  readStandsAt,
  type ReadCheck,
  type ReadOf,
  type ReadStanding,
  type ReadStandsAt,
} from './read-checks'

/** One read of a deal: its episode, how it stands, and its fee. */
export interface DealRead {
  episode: Episode
  day: Day | undefined
  checks: ReadCheck[]
  standing: ReadStanding
  at: ReadStandsAt | undefined
  note: ReadOf['note']
  fee: Fee
}

/** What becomes of a read's fee: nothing to pay, still to come, due (since the day it went out), on an invoice, paid. */
export type Fee = 'none' | 'to come' | 'due' | 'on an invoice' | 'paid'

/** What a read is told by, from the records. */
export function readOf(
  records: Pick<Records, 'recipes' | 'shows' | 'scripts' | 'outlets'>,
  deal: Deal,
  episode: Episode,
  show: Show,
  today: Day,
): ReadOf {
  const recipe = recipeFor(records, episode)
  const script = records.scripts.get(episode.id)
  const outlets = show.outlets.flatMap((id) => records.outlets.get(id) ?? [])
  return {
    ...{ deal, episode, script, today, pace: show.pace },
    description: recipe ? episodeDescription({ episode, show, recipe, script, outlets }) : '',
    note: deal.noted[episode.id] ?? {},
    day: releaseDay(episode, show),
  }
}

/** The reads of a deal that have an episode, in the order of their release, those without a date last. */
export function dealReads(
  records: Pick<Records, 'recipes' | 'shows' | 'scripts' | 'outlets' | 'episodes' | 'deals'>,
  deal: Deal,
  today: Day,
): DealRead[] {
  const show = records.shows.get(deal.show)
  if (!show) return []
  const others = [...records.deals.values()]
  return [...records.episodes.values()]
    .filter((e) => e.show === show.id && e.sponsor !== undefined && isWith(deal, e.sponsor))
    .filter(({ phase }) => phase.kind === 'work' || phase.kind === 'released')
    .flatMap((episode): DealRead[] => {
      const day = releaseDay(episode, show)
      if (dealOf(others, episode, day)?.id !== deal.id) return []
      const of = readOf(records, deal, episode, show, today)
      const checks = readChecks(of)
      const standing = readStanding(of, checks)
      return [
        {
          episode,
          day,
          checks,
          standing,
          note: of.note,
          at: readStandsAt(of),
          fee: feeOf(deal, standing, of.note),
        },
      ]
    })
    .sort((a, b) => ascending(a.day ?? '9', b.day ?? '9'))
}

function feeOf({ fee = 0 }: Deal, standing: ReadStanding, { invoiced, paid }: ReadOf['note']): Fee {
  if (fee === 0) return 'none'
  if (paid !== undefined) return 'paid'
  if (invoiced !== undefined) return 'on an invoice'
  return standing === 'delivered' ? 'due' : standing === 'to come' ? 'to come' : 'none'
}

/** The slots that are kept for a deal, by itself or under its sponsor's name, whose days are to come. */
export function keptForDeal(
  reservations: Iterable<Reservation>,
  deal: Deal,
): { single: Reservation[]; standing: Reservation[] } {
  const mine = [...reservations].filter(
    (r) =>
      r.kind === 'sponsor' &&
      r.show === deal.show &&
      (r.deal === undefined ? isWith(deal, r.name) : r.deal === deal.id),
  )
  return {
    single: mine.filter((r) => r.kept.kind === 'slot'),
    standing: mine.filter((r) => r.kept.kind === 'deal'),
  }
}

/** The episodes whose scripts must be there before what is out can be told. */
export function scriptsWanted(records: Pick<Records, 'episodes' | 'deals' | 'scripts'>): Id[] {
  const with_ = [...records.deals.values()]
  return [...records.episodes.values()]
    .filter(
      (e) =>
        e.phase.kind === 'released' &&
        e.sponsor !== undefined &&
        !records.scripts.has(e.id) &&
        with_.some((d) => d.show === e.show && e.sponsor !== undefined && isWith(d, e.sponsor)),
    )
    .map((e) => e.id)
}
