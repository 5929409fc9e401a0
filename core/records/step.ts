import { z } from 'zod'
import { ClockTime, Day, Id, Lead, Minutes, Moment, Part, StepKind, stamps } from './basics'

/** A stretch of work laid on a day. A pinned one stays where it is when the rest is planned anew. */
export const PlannedBlock = z.object({
  day: Day,
  minutes: z.number().int().min(1).max(1440),
  pinned: z.boolean(),
  /** A clock time of its own: a guest at 15:00. */
  at: ClockTime.optional(),
  /** Its place among the blocks of its day, rising. */
  place: z.number().optional(),
  /** The day passed without it; it was laid again elsewhere. */
  missed: z.boolean().optional(),
})
export type PlannedBlock = z.infer<typeof PlannedBlock>

/** One piece of work in a stage of an episode. */
export const Step = z.object({
  id: Id,
  episode: Id,
  /** The recipe's line that this step came from. */
  line: Id.optional(),
  stage: Id,
  name: z.string().trim().min(1, 'A step needs a name.'),
  kind: StepKind,
  minutes: Minutes,
  logged: Minutes,
  lead: Lead,
  needs: z.array(Id),
  owner: z.string().min(1),
  required: z.boolean(),
  /** The part that completes it by being there. */
  part: Part.optional(),
  doneAt: Moment.optional(),
  waiting: z
    .object({
      who: z.string().min(1, 'Say who it waits on.'),
      what: z.string(),
      since: Day,
      nudge: z.number().int().min(1).max(90).optional(),
    })
    .optional(),
  /** No work on it before this date. */
  earliest: Day.optional(),
  /** Where the creator's week has it; what is not laid here is laid by the plan. */
  blocks: z.array(PlannedBlock),
  /** Minutes worked, by day; what was logged before days were kept is in `logged` alone. */
  worked: z.record(Day, z.number().int().min(0)).optional(),
  /** The change of its recipe's line that it took or left. */
  asOf: Moment.optional(),
  order: z.number(),
  ...stamps,
})
export type Step = z.infer<typeof Step>
