import { z } from 'zod/mini'
import { Id, Moment } from './basics'

/** A letter of the belt that was taken, so that it is taken once; `over`: where the desk's own word stood. */
export const TakenLetter = z.object({ id: Id, at: Moment, over: z.optional(z.string()) })
export type TakenLetter = z.infer<typeof TakenLetter>
