import { z } from 'zod/mini'
import { Day, Id, stamps } from './basics'

/** Which slots a reservation keeps: one by its original date, or so many of each month. */
export const Kept = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('slot'), day: Day }),
  z.object({
    kind: z.literal('deal'),
    perMonth: z.int().check(z.gte(1, 'A deal keeps at least one slot a month.'), z.lte(31)),
    from: Day,
    to: z.optional(Day),
  }),
])
export type Kept = z.infer<typeof Kept>

/** A slot kept for something before there is an episode on it: a sponsor's read, a launch, a season's day. */
export const Reservation = z.object({
  id: Id,
  show: Id,
  /** For whom or what: the sponsor's name, the launch's, the season's. */
  name: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'Say for whom or for what the slot is kept.'),
      z.maxLength(60, 'At most 60 characters; the note has room for more.'),
    ),
  kind: z.enum(['sponsor', 'launch', 'season', 'other']),
  launch: z.optional(Id),
  /** The deal for which it is kept. */
  deal: z.optional(Id),
  kept: Kept,
  note: z.string(),
  ...stamps,
})
export type Reservation = z.infer<typeof Reservation>

/** Something that begins on a date and that episodes lead up to: a book, a course, a regatta. */
export const Launch = z
  .object({
    id: Id,
    name: z
      .string()
      .check(
        z.trim(),
        z.minLength(1, 'A launch needs a name.'),
        z.maxLength(60, 'A launch has a name of at most 60 characters.'),
      ),
    from: Day,
    to: Day,
    /** Days before it begins in which episodes should lead up to it. */
    runUp: z.int().check(z.gte(0), z.lte(365)),
    /** How many episodes should support it, and which do. */
    wanted: z.int().check(z.gte(0), z.lte(100)),
    episodes: z.array(Id),
    /** Kinds of episode that should stand before it and after it, by the kind's name. */
    around: z.optional(
      z.array(z.object({ form: z.string().check(z.minLength(1)), side: z.enum(['before', 'after']) })),
    ),
    /** What it cost besides its campaigns, and what it brought. */
    cost: z.optional(z.number().check(z.gte(0), z.lte(10_000_000))),
    earned: z.optional(z.number().check(z.gte(0), z.lte(10_000_000))),
    note: z.string(),
    ...stamps,
  })
  .check(
    z.refine((l) => l.from <= l.to, {
      message: 'A launch ends on or after the day it begins.',
      path: ['to'],
    }),
  )
export type Launch = z.infer<typeof Launch>
