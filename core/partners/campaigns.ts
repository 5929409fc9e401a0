import { sum } from 'd3-array'
import type { Campaign, Day } from '../records'
import { inCents, sayMoney } from './money'

/** Sums of campaigns: money budgeted and spent, posts and how many of them are out. */
export interface CampaignSums {
  budget: number
  spent: number
  posts: number
  out: number
}

/** Sums of campaigns; one that was called off counts what it spent, and not what it might have. */
export function campaignSums(campaigns: readonly Campaign[]): CampaignSums {
  const posts = campaigns.flatMap((c) => (c.state === 'called off' ? c.posts.filter((p) => p.out) : c.posts))
  return {
    budget: inCents(sum(campaigns, (c) => (c.state === 'called off' ? 0 : (c.budget ?? 0)))),
    spent: inCents(sum(campaigns, (c) => c.spent ?? 0)),
    posts: posts.length,
    out: posts.filter((p) => p.out === true).length,
  }
}

/** What of a campaign does not fit together, in words: over its budget, over and still called running, posts outside its dates. */
export function campaignFaults(campaign: Campaign, today: Day): string[] {
  const { budget, spent, state, from, to, posts } = campaign
  const late = posts.filter((p) => p.out !== true && p.on < today)
  const outside = posts.filter((p) => p.on < from || p.on > to)
  return [
    ...(budget !== undefined && spent !== undefined && spent > budget
      ? [`${sayMoney(spent - budget, '')} over its budget`]
      : []),
    ...(state === 'running' && to < today ? ['its dates are over'] : []),
    ...(state === 'planned' && from <= today && to >= today ? ['it should be running'] : []),
    ...(state !== 'called off' && late.length > 0
      ? [`${late.length} ${late.length === 1 ? 'post' : 'posts'} not out yet`]
      : []),
    ...(outside.length > 0
      ? [`${outside.length} ${outside.length === 1 ? 'post' : 'posts'} outside its dates`]
      : []),
  ]
}
