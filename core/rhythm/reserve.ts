import type { Day, Episode, Id, Launch, Reservation } from '../records'
import type { Slot } from './slots'

/** A reservation on one slot. */
export interface Reserved {
  reservation: Reservation
  /** By a deal of so many a month, rather than for this slot alone. */
  byDeal: boolean
}

/**
 * Which slots of a show are kept, by original date. A slot's own reservation comes first. A deal of so many
 * a month is kept by itself: releases of the
 * month that have the sponsor's read count, then the month's open slots are taken, the earliest first, and
 * only then slots whose episode lacks the read.
 * `slots` must hold whole months; `on` gives what stands (or stood) on a slot.
 */
export function reservedSlots(
  slots: readonly Slot[],
  reservations: readonly Reservation[],
  on: (original: Day) => Episode | undefined,
  launches: ReadonlyMap<Id, Launch>,
): Map<Day, Reserved> {
  const kept = new Map<Day, Reserved>()
  for (const r of reservations)
    if (r.kept.kind === 'slot') kept.set(r.kept.day, { reservation: r, byDeal: false })
  const months = new Map<string, Slot[]>()
  for (const s of slots)
    if (!s.skipped)
      (months.get(s.day.slice(0, 7)) ?? months.set(s.day.slice(0, 7), []).get(s.day.slice(0, 7)))?.push(s)
  for (const r of reservations) {
    const deal = r.kept
    if (deal.kind !== 'deal') continue
    for (const month of months.values()) {
      const mine = month.filter((s) => s.day >= deal.from && (deal.to === undefined || s.day <= deal.to))
      let left = deal.perMonth
      const take = (s: Slot) => {
        left--
        kept.set(s.original, { reservation: r, byDeal: true })
      }
      const free = (s: Slot) => !kept.has(s.original)
      // What is kept for it by hand, or has its read already, counts.
      for (const s of mine) {
        const own = kept.get(s.original)
        if (own && own.reservation.name === r.name && own.reservation.id !== r.id) left--
      }
      for (const s of mine) {
        const e = on(s.original)
        if (left > 0 && e && free(s) && honours(r, e, launches)) take(s)
      }
      for (const s of mine) if (left > 0 && free(s) && on(s.original) === undefined) take(s)
      for (const s of mine) {
        const e = on(s.original)
        if (left > 0 && free(s) && e && e.phase.kind !== 'released' && e.sponsor === undefined) take(s)
      }
    }
  }
  return kept
}

const folded = (text: string) => text.trim().toLowerCase()

/**
 * Whether an episode honours a reservation: it has the sponsor's read, supports the launch, belongs to the
 * season. What is kept for something else is the creator's to judge.
 */
export function honours(
  reservation: Reservation,
  episode: Episode,
  launches: ReadonlyMap<Id, Launch>,
): boolean {
  switch (reservation.kind) {
    case 'sponsor':
      return episode.sponsor !== undefined && folded(episode.sponsor) === folded(reservation.name)
    case 'launch':
      return (
        reservation.launch === undefined
          ? [...launches.values()].filter((l) => folded(l.name) === folded(reservation.name))
          : [...launches.values()].filter((l) => l.id === reservation.launch)
      ).some((l) => l.episodes.includes(episode.id))
    case 'season':
      return folded(episode.idea.series) === folded(reservation.name)
    case 'other':
      return true
  }
}

/** What is said where an episode does not honour what its slot is kept for, and how to mend it. */
export function unhonoured(reservation: Reservation): string {
  switch (reservation.kind) {
    case 'sponsor':
      return `It is kept for ${reservation.name}, and this has no read for them`
    case 'launch':
      return `It is kept for the launch “${reservation.name}”, and this does not support it`
    case 'season':
      return `It is kept for “${reservation.name}”, and this belongs to another series`
    case 'other':
      return `It is kept for ${reservation.name}`
  }
}
