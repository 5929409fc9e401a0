import { z } from 'zod/mini'
import { Id, Moment, stamps } from './basics'

/** What a helper asked on their page, and what was answered. */
export const HelperQuestion = z.object({
  id: Id,
  text: z.string().check(z.trim(), z.minLength(1), z.maxLength(2000)),
  at: Moment,
  answer: z.optional(z.string()),
})
export type HelperQuestion = z.infer<typeof HelperQuestion>

/**
 * What lies on a helper's desk: the cut of an episode, its hand-over to the outlets, or a look at a cut. It has a page with an address of
 * its own until it is ended; the page shows what was chosen here, and nothing else.
 */
export const Job = z.object({
  id: Id,
  episode: Id,
  kind: z.enum(['cut', 'release', 'review']),
  who: z.string().check(z.trim(), z.minLength(1, 'Say who it goes to.'), z.maxLength(80)),
  /** What of the episode goes along (`edit/package-parts`). */
  parts: z.array(z.string()),
  /** Links of the shelf that go along. */
  shelf: z.array(Id),
  given: Moment,
  /** When the page was first opened, as its reader said. */
  opened: z.optional(Moment),
  /** When it came back: a cut, or that its reviewer is through. */
  back: z.optional(Moment),
  ended: z.optional(Moment),
  /** Earlier times that it lay with them and came back. */
  turns: z.optional(z.array(z.object({ given: Moment, back: Moment }))),
  asked: z.array(HelperQuestion),
  ...stamps,
})
export type Job = z.infer<typeof Job>
