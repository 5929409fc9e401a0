import { z } from 'zod/mini'
import { Day, Id, stamps } from './basics'
import { ReadPlace } from './offer'

/**
 * What was noted of one read of a deal: when it was shown to the sponsor and agreed to, the second at which somebody heard it,
 * invoice and payment, and what was settled by hand where the checks say otherwise.
 */
export const ReadNote = z.object({
  shown: z.optional(Day),
  agreed: z.optional(Day),
  heardAt: z.optional(
    z.number().check(z.gte(0, 'It is heard at a time from 0:00 on.'), z.lte(86_400, 'At most a day in.')),
  ),
  invoiced: z.optional(Day),
  paid: z.optional(Day),
  ruled: z.optional(z.enum(['counts', 'does not count'])),
})
export type ReadNote = z.infer<typeof ReadNote>

const phrases = z.array(z.string().check(z.trim(), z.minLength(1), z.maxLength(200))).check(z.maxLength(20))

/** What was agreed with a sponsor: so many reads in a show, what each must be like, and what it pays. */
export const Deal = z
  .object({
    id: Id,
    show: Id,
    /** By name, as episodes and slots that are kept name them. */
    sponsor: z
      .string()
      .check(
        z.trim(),
        z.minLength(1, 'Say with whom it was agreed.'),
        z.maxLength(60, 'At most 60 characters; the note has room for more.'),
      ),
    reads: z
      .int('Reads are counted whole: 12, say.')
      .check(z.gte(1, 'A deal has at least one read.'), z.lte(500, 'A deal has at most 500 reads.')),
    perMonth: z.optional(z.int().check(z.gte(1, 'At least one a month.'), z.lte(31, 'At most 31 a month.'))),
    from: Day,
    to: z.optional(Day),
    seconds: z.optional(
      z
        .number()
        .check(z.gte(1, 'A read lasts at least a second.'), z.lte(3600, 'A read lasts an hour at most.')),
    ),
    place: z.optional(ReadPlace),
    /** Words to say, as far as they were given. */
    words: z.string(),
    /** What must be said, word for word. */
    say: phrases,
    code: z.string().check(z.maxLength(60, 'A code has at most 60 characters.')),
    link: z.string().check(z.maxLength(500)),
    /** The words that say it is paid for. */
    disclosure: z.string().check(z.maxLength(200)),
    /** What else must not come up in the same episode. */
    without: phrases,
    /** Days before the release at which they are shown the read. */
    shownBefore: z.optional(
      z.int().check(z.gte(0, 'Days before are not below nothing.'), z.lte(90, 'At most 90 days before.')),
    ),
    fee: z.optional(
      z.number().check(z.gte(0, 'A fee is not below nothing.'), z.lte(10_000_000, 'At most ten million.')),
    ),
    /** Days within which an invoice is paid. */
    payWithin: z.optional(
      z.int().check(z.gte(0, 'Days are not below nothing.'), z.lte(365, 'At most a year.')),
    ),
    note: z.string(),
    /** By the episode's id. */
    noted: z.record(Id, ReadNote),
    ...stamps,
  })
  .check(
    z.refine((d) => d.to === undefined || d.from <= d.to, {
      message: 'The deal ends before it begins. Choose a later last date, or none.',
      path: ['to'],
    }),
  )
export type Deal = z.infer<typeof Deal>
