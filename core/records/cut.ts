import { z } from 'zod/mini'
import { Id, Moment, stamps } from './basics'

/** How many pictures a second has; drop-frame counting leaves numbers out so that its clock keeps to the hour. */
export const FrameRate = z.enum(['23.976', '24', '25', '29.97', '29.97 drop', '30', '50', '59.94'])
export type FrameRate = z.infer<typeof FrameRate>

const seconds = z.number().check(z.gte(0), z.lte(360_000))

/**
 * What was noted at a moment of a cut: something to do, or a remark. `asked`: the numbers of the cuts in which it was
 * asked, the first first.
 */
export const CutNote = z.object({
  id: Id,
  at: seconds,
  kind: z.enum(['to do', 'remark']),
  text: z.string().check(z.trim(), z.minLength(1, 'A note needs words.'), z.maxLength(2000)),
  /** Who noted it, where it was a reviewer. */
  by: z.optional(z.string()),
  /** For oneself, where another cuts. */
  mine: z.optional(z.boolean()),
  done: z.optional(Moment),
  asked: z.array(z.int().check(z.gte(1))),
  noted: Moment,
})
export type CutNote = z.infer<typeof CutNote>

/**
 * One cut of an episode's edit, as it is reviewed: how long it is, from whom it came, what was noted, and how its round
 * ended. Its file stays where it is; only its name is known.
 */
export const Cut = z.object({
  id: Id,
  episode: Id,
  number: z.int().check(z.gte(1)),
  came: Moment,
  /** Who made it; empty for the creator. */
  from: z.string(),
  length: z.optional(z.number().check(z.positive(), z.lte(360_000))),
  file: z.optional(z.string()),
  /** Where it lies, if it was handed over by its address. */
  address: z.optional(z.string()),
  notes: z.array(CutNote),
  closed: z.optional(z.object({ kind: z.enum(['approved', 'another']), at: Moment })),
  ...stamps,
})
export type Cut = z.infer<typeof Cut>
