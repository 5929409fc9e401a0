import { z } from 'zod/mini'
import { Day, Id, stamps } from './basics'

const figure = z.int('A figure is a whole number.').check(z.gte(0, 'A figure cannot be below nothing.'))

/** Words that people search for, with what is known of them. */
export const Keyword = z.object({
  id: Id,
  show: Id,
  words: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'A keyword needs at least a word.'),
      z.maxLength(120, 'A keyword has at most 120 characters.'),
    ),
  /** Searches a month, and results that compete for it. */
  searches: z.optional(figure),
  competing: z.optional(figure),
  /** The date of these figures. */
  measured: z.optional(Day),
  notes: z.string(),
  ...stamps,
})
export type Keyword = z.infer<typeof Keyword>
