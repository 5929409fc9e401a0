import { z } from 'zod'
import { Day, Id, Lead, Minutes, Moment, Part, StepKind, stamps } from './basics'

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
  waiting: z.object({ who: z.string().min(1, 'Say who it waits on.'), what: z.string(), since: Day }).optional(),
  order: z.number(),
  ...stamps,
})
export type Step = z.infer<typeof Step>
