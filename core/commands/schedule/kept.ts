import type { Day, Episode, Records, Show } from '../../records'
import { addDays } from '../../rhythm/days'
import { type Reserved, honours, reservedSlots, unhonoured } from '../../rhythm/reserve'
import { type Slot, slotsTaken, slotsOf } from '../../rhythm/slots'
import { type Change, type Context, momentOf, putRecord } from '../change'

/** What the slots of a show are kept for between two dates, by original date. */
export function reservedBetween(
  records: Pick<Records, 'reservations' | 'launches' | 'episodes'>,
  show: Show,
  from: Day,
  to: Day,
  filled?: ReadonlyMap<Day, Episode>,
): Map<Day, Reserved> {
  const mine = [...records.reservations.values()].filter((r) => r.show === show.id)
  if (mine.length === 0) return new Map()
  // Deals go by whole months.
  const slots = slotsOf(
    show,
    `${from.slice(0, 7)}-01`,
    addDays(`${addDays(`${to.slice(0, 7)}-28`, 4).slice(0, 7)}-01`, -1),
  )
  const on = filled ?? slotsTaken(show, records.episodes)
  return reservedSlots(slots, mine, (day) => on.get(day), records.launches)
}

/** What to say where an episode would not honour what a slot is kept for; nothing where it does. */
export function unmetPromises(records: Records, show: Show, slot: Slot, episode: Episode): string[] {
  const kept = reservedBetween(records, show, slot.day, slot.day).get(slot.original)
  return kept && !honours(kept.reservation, episode, records.launches) ? [unhonoured(kept.reservation)] : []
}

/**
 * What is kept for the sponsors of episodes that move goes with them: the changes that put each such
 * reservation on the new slot. One that keeps the new slot already stays, and then the old one does too.
 */
export function keptAlong(
  records: Records,
  show: Show,
  moves: readonly { episode: Episode; to: Slot }[],
  context: Context,
): Change[] {
  const own = [...records.reservations.values()].filter((r) => r.show === show.id && r.kept.kind === 'slot')
  const on = (day: Day) => own.find((r) => r.kept.kind === 'slot' && r.kept.day === day)
  const going = moves.flatMap(({ episode, to }) => {
    const kept = episode.place.kind === 'slot' ? on(episode.place.day) : undefined
    return kept?.kind === 'sponsor' &&
      honours(kept, episode, records.launches) &&
      episode.place.kind === 'slot' &&
      episode.place.day !== to.original
      ? [{ kept, to: to.original }]
      : []
  })
  const leaving = new Set(going.map((g) => g.kept.id))
  return going.flatMap(({ kept, to }) => {
    const there = on(to)
    return there && !leaving.has(there.id)
      ? []
      : [
          putRecord(records, 'reservations', {
            ...kept,
            kept: { kind: 'slot', day: to },
            updatedAt: momentOf(context),
          }),
        ]
  })
}
