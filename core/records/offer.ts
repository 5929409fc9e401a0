import { z } from 'zod/mini'
import { Day, Id, stamps } from './basics'

/** One way to say an offer. */
export const Wording = z.object({
  id: Id,
  text: z.string().check(z.trim(), z.minLength(1, 'A wording needs words.'), z.maxLength(2000)),
})
export type Wording = z.infer<typeof Wording>

/**
 * What an audience is asked to do at the end of an episode, or on its way: where it leads, the ways to say it, and in
 * which shows it is said. Where each was used is read from the scripts.
 */
export const Offer = z.object({
  id: Id,
  name: z
    .string()
    .check(z.trim(), z.minLength(1, 'An offer needs a name.'), z.maxLength(60, 'At most 60 characters.')),
  address: z.string(),
  wordings: z.array(Wording),
  shows: z.array(Id),
  /** The file that it gives away: its name, and whether it is made. */
  file: z.optional(z.object({ name: z.string().check(z.maxLength(200)), made: z.boolean() })),
  /** How often it was taken, as somebody counted: by a day, of one episode where that is known. */
  taken: z.optional(
    z.array(
      z.object({ on: Day, count: z.int().check(z.gte(0, 'A count is 0 or more.')), episode: z.optional(Id) }),
    ),
  ),
  ...stamps,
})
export type Offer = z.infer<typeof Offer>

/** Where in an episode something is to be said. */
export const ReadPlace = z.enum(['opening', 'middle', 'close'])
export type ReadPlace = z.infer<typeof ReadPlace>

/** What was asked of a sponsor's read: the words to say, how long, and where; as far as it was asked. */
export const AskedRead = z.object({
  words: z.string(),
  seconds: z.optional(z.number().check(z.positive(), z.lte(3600))),
  place: z.optional(ReadPlace),
})
export type AskedRead = z.infer<typeof AskedRead>

/** Why a beat has the words it has: they are an offer's wording, or a sponsor's read. */
export const Promised = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('offer'), offer: Id, wording: Id }),
  z.object({ kind: z.literal('read') }),
])
export type Promised = z.infer<typeof Promised>
