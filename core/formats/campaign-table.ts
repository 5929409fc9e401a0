import type { Campaign, Id, Launch } from '../records'
import { chartCsv } from './chart-csv'

const columns = [
  'Campaign',
  'Launch',
  'Outlet',
  'From',
  'To',
  'State',
  'Budget',
  'Spent',
  'Shown',
  'Address',
  'Posts',
  'Posts out',
] as const

/** Campaigns as CSV (RFC 4180), a row each; the budget of one that was called off is none. */
export function campaignsCsv(campaigns: readonly Campaign[], launches: ReadonlyMap<Id, Launch>): string {
  return chartCsv(
    columns,
    campaigns.map((c) => {
      const isOff = c.state === 'called off'
      const posts = isOff ? c.posts.filter((p) => p.out) : c.posts
      return [
        ...[c.name, launches.get(c.launch ?? '')?.name ?? '', c.outlet, c.from, c.to, c.state],
        ...[isOff ? undefined : c.budget, c.spent, c.asset, c.address],
        ...[posts.length, posts.filter((p) => p.out === true).length],
      ]
    }),
  )
}
