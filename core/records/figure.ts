import { z } from 'zod/mini'
import { Id } from './basics'

const count = z.int().check(z.gte(0, 'A count is 0 or more.'), z.lte(100_000_000_000))
const share = z.number().check(z.gte(0, 'A share is 0 to 100 %.'), z.lte(1, 'A share is 0 to 100 %.'))

/**
 * What was counted of an episode at an age in days since its release: at one outlet, or everywhere together where none is
 * named. What was not counted is left out.
 */
export const Figure = z.object({
  age: z.int().check(z.gte(0, 'An age is 0 days or more.'), z.lte(20_000)),
  outlet: z.optional(Id),
  /** Views or listens. */
  views: z.optional(count),
  /** Minutes watched or heard, all together. */
  watch: z.optional(z.number().check(z.gte(0), z.lte(1e12))),
  /** How often its picture and title were shown, and the share of these that were pressed. */
  impressions: z.optional(count),
  pressed: z.optional(share),
  /** The share of it that is seen on average. */
  seen: z.optional(share),
  likes: z.optional(count),
  comments: z.optional(count),
  /** Followers gained by it, less those lost. */
  gained: z.optional(z.int().check(z.gte(-1_000_000_000), z.lte(1_000_000_000))),
})
export type Figure = z.infer<typeof Figure>

/** What is counted. */
export type FigureName = Exclude<keyof Figure, 'age' | 'outlet'>

/** How many follow a show on a date. */
export const Followers = z.object({ on: z.iso.date(), count })
export type Followers = z.infer<typeof Followers>
