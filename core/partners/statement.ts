import { rollups, sum } from 'd3-array'
import type { Day } from '../records'
import { lastViews } from '../results/at-age'
import { titleOf } from '../release/parts'
import { addDays } from '../rhythm/days'
import type { DealView } from './deal-view'
import type { DealRead } from './deal-reads'

/** A row of a deal's statement: one read; '' is a day that is not there. */
export interface StatementRow {
  number: string
  title: string
  day: Day
  /** Seconds at which it begins, and how long it is. */
  at: number | undefined
  seconds: number | undefined
  counts: 'yes' | 'no' | 'to come' | 'to be settled'
  why: string
  address: string
  views: number | undefined
  viewsOn: Day
  fee: number
  feeIs: DealRead['fee']
  invoiced: Day
  paid: Day
}

/** Sums of a statement, of a stretch of time or of all. */
export interface StatementSum {
  /** `2026-11` or `2026`. */
  of: string
  reads: number
  delivered: number
  paid: number
  open: number
}

/** The reads of a deal, a row each. `numberOf` says an episode's number. */
export function statementRows(view: DealView, numberOf: (read: DealRead) => string): StatementRow[] {
  const { deal, show } = view
  return view.reads.map((read): StatementRow => {
    const { episode, day, at, standing, note, fee } = read
    const views = lastViews(episode)
    const pays = fee === 'none' ? 0 : (deal.fee ?? 0)
    return {
      number: numberOf(read),
      title: titleOf(episode),
      day: day ?? '',
      at: at?.from,
      seconds: at && at.seconds > 0 ? at.seconds : undefined,
      counts: (
        { delivered: 'yes', fails: 'no', 'to come': 'to come', 'cannot be told': 'to be settled' } as const
      )[standing],
      why: read.checks
        .filter((c) => c.decides && c.state === 'fails')
        .map((c) => `${c.asked}: ${c.says}`)
        .join('; '),
      address: show.outlets.flatMap((o) => episode.addresses?.[o] ?? [])[0] ?? '',
      views: views?.views,
      viewsOn: views && day !== undefined ? addDays(day, views.age) : '',
      fee: pays,
      feeIs: fee,
      invoiced: note.invoiced ?? '',
      paid: note.paid ?? '',
    }
  })
}

/**
 * Sums by month or by year: reads by the day they went out or are to, what was paid by the day it was paid, what is open by the day it
 * went out. Those without a date are in none.
 */
export function statementSums(rows: readonly StatementRow[], by: 'month' | 'year'): StatementSum[] {
  const key = (day: string) => day.slice(0, by === 'month' ? 7 : 4)
  const dated = rows.filter((r) => r.day !== '')
  const paid = new Map(
    rollups(
      rows.filter((r) => r.paid !== ''),
      (some) => sum(some, (r) => r.fee),
      (r) => key(r.paid),
    ),
  )
  const out = new Map(
    rollups(
      dated,
      (some) => some,
      (r) => key(r.day),
    ),
  )
  return [...new Set([...out.keys(), ...paid.keys()])].sort().map((of) => {
    const mine = out.get(of) ?? []
    return {
      of,
      reads: mine.length,
      delivered: mine.filter((r) => r.counts === 'yes').length,
      paid: paid.get(of) ?? 0,
      open: sum(mine, (r) => (r.feeIs === 'due' || r.feeIs === 'on an invoice' ? r.fee : 0)),
    }
  })
}
