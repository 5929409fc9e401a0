import { z } from 'zod/mini'
import { Day, Id } from './basics'

/** How far something that an episode needs has come. */
export const MaterialStand = z.enum(['wanted', 'ordered', 'here'])
export type MaterialStand = z.infer<typeof MaterialStand>

/** Something that an episode needs bought, lent or fetched. */
export const Material = z.object({
  id: Id,
  what: z.string().check(z.trim(), z.minLength(1, 'Say what is needed.')),
  stand: MaterialStand,
  /** Filming can't do without it. */
  required: z.boolean(),
  /** In the creator's own currency. */
  price: z.optional(z.number().check(z.gte(0, 'A price is 0 or more.'), z.lte(10_000_000))),
  supplier: z.optional(z.string()),
  link: z.optional(z.string()),
  /** The day by which it is needed, where that is another than the day of filming. */
  by: z.optional(Day),
  /** The day on which it is expected. */
  expected: z.optional(Day),
})
export type Material = z.infer<typeof Material>
