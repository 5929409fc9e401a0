import { z } from 'zod/mini'
import { Id, Moment } from './basics'

/**
 * A letter of the belt or of a helper that was taken, so that it is taken once; `over`: where the desk's own word stood;
 * `job`: the helper's, whose page is told.
 */
export const TakenLetter = z.object({
  id: Id,
  at: Moment,
  over: z.optional(z.string()),
  job: z.optional(Id),
})
export type TakenLetter = z.infer<typeof TakenLetter>
