import type { Outlet } from '../records'
import { going, movesFor, type Going, type Move } from '../release/moves'
import { thingsOf, type Thing } from '../release/when'
import type { Card } from './card'

const day = 86_400_000

/** One outlet with what goes out there, the earliest first. */
export interface OutletRow {
  outlet: Outlet
  things: Going[]
  /** Of what goes out within the week: ready, and all. */
  ready: number
  soon: number
}

/** What the screen Release shows. */
export interface ReleaseView {
  rows: OutletRow[]
  /** Everything within the week that is not out yet, the earliest first. */
  week: Going[]
  moves: Move[]
}

/** How far the screen looks, days; and how far what it asks to be done now. */
export const looksAhead = 14
const soon = 7
/** What should have gone out so many days ago and was not seen is still asked about. */
const looksBack = 7

/** Everything that goes out in the next two weeks, by outlet, with the moves that make this week's things ready. */
export function releaseView(cards: readonly Card[], now: number): ReleaseView {
  const all = cards
    .flatMap((card) => thingsOf(card.episode, card.show, card.outlets).map((thing) => ({ card, thing })))
    .filter(({ thing }) => thing.at >= now - looksBack * day && thing.at <= now + looksAhead * day)
    // Before an outlet was there nothing went out at it.
    .filter(({ card, thing }) => isAsked(thing, card))
    .map(({ card, thing }) => going(card, thing))
    .sort((a, b) => a.at - b.at)
  const rows = new Map<string, OutletRow>()
  for (const card of cards)
    for (const outlet of card.outlets)
      if (!rows.has(outlet.id)) rows.set(outlet.id, { outlet, things: [], ready: 0, soon: 0 })
  const week = all.filter((t) => t.at <= now + soon * day)
  for (const thing of all) rows.get(thing.outlet.id)?.things.push(thing)
  for (const thing of week) {
    const row = rows.get(thing.outlet.id)
    if (!row) continue
    row.soon++
    if (thing.isReady) row.ready++
  }
  return { rows: [...rows.values()], week, moves: movesFor(week.filter((t) => !t.isReady)) }
}

function isAsked(thing: Thing, card: Card): boolean {
  return thing.at >= Date.parse(thing.outlet.createdAt) && !isSeen(card, thing.key, thing.outlet)
}

/** Whether something was seen live: at the show's first outlet that is the episode being out. */
export function isSeen({ episode, show }: Card, key: string, outlet: Outlet): boolean {
  if (key === show.outlets[0] && outlet.id === key) return episode.phase.kind === 'released'
  return episode.handed?.[key]?.live !== undefined
}

/** The sentence that leads the screen: the move that mends most of what goes out soon. */
export function leadOf({ week, moves }: ReleaseView): string {
  const open = week.filter((t) => !t.isReady)
  const [first] = moves
  if (week.length === 0) return 'Nothing goes out this week.'
  if (!first || open.length === 0)
    return week.length === 1
      ? 'The one thing that goes out this week is ready.'
      : `All ${week.length} things that go out this week are ready.`
  const mends = first.mends.length
  return `${first.label} next: ${mends} of the ${open.length} unready ${open.length === 1 ? 'thing needs' : 'things need'} it.`
}
