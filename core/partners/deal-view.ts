import { ascending } from 'd3-array'
import type { Day, Deal, Episode, Id, Records, Show } from '../records'
import { reservedBetween } from '../commands/schedule/kept'
import { addDays } from '../rhythm/days'
import { slotsOf, type Slot } from '../rhythm/slots'
import { dealReads, keptForDeal, type DealRead } from './deal-reads'
import { inCents } from './money'

/** A slot that is kept for a deal and has no read yet; `episode` is what stands on it, if anything does. */
export interface KeptSlot {
  reservation: Id | undefined
  slot: Slot
  episode: Episode | undefined
}

/** How a deal stands: what was promised, delivered and is still to come, the money, and what is next. */
export interface DealView {
  deal: Deal
  show: Show
  reads: DealRead[]
  /** Kept slots without a read, the next first. */
  toFill: KeptSlot[]
  delivered: number
  /** Reads that are out and do not count: each is to be made up by another. */
  failed: DealRead[]
  /** Reads of episodes that are not out yet. */
  coming: DealRead[]
  /** Reads for which neither an episode nor a slot is there. */
  toFind: number
  /** Of those, dates that would do, as till now; and how many lie further on than one looks ahead. */
  dates: Slot[]
  later: number
  /** By when dates should be kept, that there is time to make the first of them. */
  datesBy: Day | undefined
  /** How many cannot go out before the deal ends. */
  tooMany: number
  money: Money
}

/** Sums of a deal, in the creator's currency. */
export interface Money {
  paid: number
  /** Delivered, and not on an invoice yet. */
  due: number
  invoiced: number
  toCome: number
}

/** How far ahead dates are looked for, days. */
const ahead = 120
/** Days that making an episode takes, where its recipe says nothing. */
const usualReach = 21

type Needs = Pick<
  Records,
  'recipes' | 'shows' | 'scripts' | 'outlets' | 'episodes' | 'deals' | 'reservations' | 'launches'
>

/** How a deal stands on a day. `filled` is what stands on the show's slots, by their original date. */
export function dealView(
  records: Needs,
  deal: Deal,
  today: Day,
  filled: ReadonlyMap<Day, Episode>,
): DealView | undefined {
  const show = records.shows.get(deal.show)
  if (!show) return undefined
  const reads = dealReads(records, deal, today)
  const kept = keptForDeal(records.reservations.values(), deal)
  const hasRead = new Set(reads.map((r) => r.episode.id))
  const end = deal.to ?? addDays(today, 730)
  const slots = slotsOf(show, today, end < today ? today : end).filter((s) => !s.skipped)
  const monthly = new Set(kept.standing.map((r) => r.id))
  const byMonth =
    monthly.size === 0
      ? []
      : [...reservedBetween(records, show, today, addDays(today, ahead), filled)].flatMap(([day, x]) =>
          monthly.has(x.reservation.id) ? [{ id: x.reservation.id, day }] : [],
        )
  const single = kept.single.flatMap((r) => (r.kept.kind === 'slot' ? [{ id: r.id, day: r.kept.day }] : []))
  const toFill = [...single, ...byMonth]
    .flatMap(({ id, day }): KeptSlot[] => {
      const slot = slots.find((s) => s.original === day)
      const episode = filled.get(day)
      return slot && !(episode && hasRead.has(episode.id)) ? [{ reservation: id, slot, episode }] : []
    })
    .sort((a, b) => ascending(a.slot.day, b.slot.day))
  const delivered = reads.filter((r) => r.standing === 'delivered').length
  const failed = reads.filter((r) => r.standing === 'fails')
  const coming = reads.filter((r) => r.standing === 'to come')
  const untold = reads.filter((r) => r.standing === 'cannot be told').length
  const toFind = Math.max(0, deal.reads - delivered - untold - coming.length - toFill.length)
  const free = freeDates(deal, reads, toFill, slots, filled)
  const near = free.filter((s) => s.day <= addDays(today, ahead)).slice(0, toFind)
  const first = near[0]
  return {
    ...{ deal, show, reads, toFill, delivered, failed, coming, toFind, dates: near },
    later: Math.min(toFind, free.length) - near.length,
    tooMany: Math.max(0, toFind - free.length),
    datesBy: first && addDays(first.day, -reach(records, show) - (deal.shownBefore ?? 0)),
    money: moneyOf(deal, reads),
  }
}

/** The longest lead of a show's recipe, days. */
function reach({ recipes }: Pick<Records, 'recipes'>, show: Show): number {
  const leads = (recipes.get(show.recipe)?.lines ?? []).flatMap((l) =>
    l.lead.kind === 'before' ? [l.lead.days] : [],
  )
  return Math.max(0, ...leads) || usualReach
}

/** Which of its weekday in its month a date is: the first, second … */
const nth = (day: Day) => Math.ceil(Number(day.slice(8)) / 7)

/**
 * Open slots that could take a read: so many a month as was agreed, in each month the one that stands as in most months till now (the
 * second Thursday), else the earliest; the next first. Where nothing is said of months, all open ones.
 */
function freeDates(
  deal: Deal,
  reads: readonly DealRead[],
  kept: readonly KeptSlot[],
  slots: readonly Slot[],
  filled: ReadonlyMap<Day, Episode>,
): Slot[] {
  const taken = new Set(kept.map((k) => k.slot.original))
  const open = slots.filter((s) => s.day >= deal.from && !filled.has(s.original) && !taken.has(s.original))
  const { perMonth } = deal
  if (perMonth === undefined) return open
  const usual = mostOften(reads.flatMap((r) => (r.day === undefined ? [] : [nth(r.day)])))
  const count = new Map<string, number>()
  const add = (day: Day) => count.set(day.slice(0, 7), (count.get(day.slice(0, 7)) ?? 0) + 1)
  // What failed is made up in a month that has its own read too.
  for (const r of reads) if (r.day !== undefined && r.standing !== 'fails') add(r.day)
  for (const k of kept) add(k.slot.day)
  const months = [...new Set(open.map((s) => s.day.slice(0, 7)))]
  return months.flatMap((month) => {
    const mine = open.filter((s) => s.day.startsWith(month))
    const left = Math.max(0, perMonth - (count.get(month) ?? 0))
    return [...mine]
      .sort((a, b) => Math.abs(nth(a.day) - usual) - Math.abs(nth(b.day) - usual) || ascending(a.day, b.day))
      .slice(0, left)
      .sort((a, b) => ascending(a.day, b.day))
  })
}

/** The number that stands most often; the least of several, 1 of none. */
function mostOften(numbers: readonly number[]): number {
  const count = new Map<number, number>()
  for (const n of numbers) count.set(n, (count.get(n) ?? 0) + 1)
  return [...count].sort(([a, x], [b, y]) => y - x || a - b)[0]?.[0] ?? 1
}

function moneyOf(deal: Deal, reads: readonly DealRead[]): Money {
  const each = deal.fee ?? 0
  const times = (fee: DealRead['fee']) => inCents(reads.filter((r) => r.fee === fee).length * each)
  const [paid, due, invoiced] = [times('paid'), times('due'), times('on an invoice')]
  return { paid, due, invoiced, toCome: inCents(Math.max(0, deal.reads * each - paid - due - invoiced)) }
}
