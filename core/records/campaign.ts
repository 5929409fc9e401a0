import { z } from 'zod/mini'
import { Day, Id, stamps } from './basics'

const money = z.optional(
  z.number().check(z.gte(0, 'Money is not below nothing.'), z.lte(10_000_000, 'At most ten million.')),
)

/** One post of a campaign. */
export const CampaignPost = z.object({
  id: Id,
  on: Day,
  text: z.string().check(z.maxLength(2000)),
  address: z.string().check(z.maxLength(500)),
  out: z.optional(z.boolean()),
})
export type CampaignPost = z.infer<typeof CampaignPost>

/** Paid or unpaid noise for a launch or an episode at one outlet: dates, budget and spend, what is shown, and its posts. */
export const Campaign = z
  .object({
    id: Id,
    name: z
      .string()
      .check(
        z.trim(),
        z.minLength(1, 'A campaign needs a name.'),
        z.maxLength(60, 'A campaign has a name of at most 60 characters.'),
      ),
    launch: z.optional(Id),
    /** Where it runs, in words. */
    outlet: z.string().check(z.maxLength(60)),
    from: Day,
    to: Day,
    budget: money,
    spent: money,
    state: z.enum(['planned', 'running', 'over', 'called off']),
    /** What is shown: a picture's or a file's name. */
    asset: z.string().check(z.maxLength(200)),
    address: z.string().check(z.maxLength(500)),
    posts: z.array(CampaignPost).check(z.maxLength(200)),
    ...stamps,
  })
  .check(
    z.refine((c) => c.from <= c.to, {
      message: 'A campaign ends on or after the day it begins.',
      path: ['to'],
    }),
  )
export type Campaign = z.infer<typeof Campaign>
