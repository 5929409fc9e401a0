import { z } from 'zod/mini'
import { Day, Id } from './basics'

/** So many of them one episode keeps. */
export const mostFacts = 60

/** Something said in an episode that may be true for some time only (a price, a law), and when to look at it again. */
export const Fact = z.object({
  id: Id,
  what: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'Say what may change.'),
      z.maxLength(300, 'What may change is said in at most 300 characters.'),
    ),
  on: Day,
  /** The beat of the script in which it is said, where it was noted while writing. */
  beat: z.optional(Id),
})
export type Fact = z.infer<typeof Fact>
