import { z } from 'zod/mini'
import { ClockTime, Day, Id, Lead, Minutes, Moment, Part, StepKind, stamps } from './basics'

/** A stretch of work laid on a day. A pinned one stays where it is when the rest is planned anew. */
export const PlannedBlock = z.object({
  day: Day,
  minutes: z.int().check(z.gte(1), z.lte(1440)),
  pinned: z.boolean(),
  /** A clock time of its own: a guest at 15:00. */
  at: z.optional(ClockTime),
  /** Its place among the blocks of its day, rising. */
  place: z.optional(z.number()),
  /** The day passed without it; it was laid again elsewhere. */
  missed: z.optional(z.boolean()),
})
export type PlannedBlock = z.infer<typeof PlannedBlock>

/** One piece of work in a stage of an episode. */
export const Step = z.object({
  id: Id,
  episode: Id,
  /** What is made of the episode by it, a spin-off's id; it holds up no release. */
  spin: z.optional(Id),
  /** The recipe's line that this step came from. */
  line: z.optional(Id),
  stage: Id,
  name: z.string().check(z.trim(), z.minLength(1, 'A step needs a name.')),
  kind: StepKind,
  minutes: Minutes,
  logged: Minutes,
  lead: Lead,
  needs: z.array(Id),
  owner: z.string().check(z.minLength(1)),
  required: z.boolean(),
  /** The part that completes it by being there. */
  part: z.optional(Part),
  doneAt: z.optional(Moment),
  /** When its part came to be there, where that ended it while it was worked on. */
  litAt: z.optional(Moment),
  waiting: z.optional(
    z.object({
      who: z.string().check(z.minLength(1, 'Say who it waits on.')),
      what: z.string(),
      since: Day,
      nudge: z.optional(z.int().check(z.gte(1), z.lte(90))),
    }),
  ),
  /** No work on it before this date. */
  earliest: z.optional(Day),
  /** Where the creator's week has it; what is not laid here is laid by the plan. */
  blocks: z.array(PlannedBlock),
  /** Minutes worked, by day; what was logged before days were kept is in `logged` alone. */
  worked: z.optional(z.record(Day, z.int().check(z.gte(0)))),
  /** The change of its recipe's line that it took or left. */
  asOf: z.optional(Moment),
  order: z.number(),
  ...stamps,
})
export type Step = z.infer<typeof Step>
