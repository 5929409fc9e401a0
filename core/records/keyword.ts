import { z } from 'zod'
import { Day, Id, stamps } from './basics'

const figure = z.number().int('A figure is a whole number.').min(0, 'A figure cannot be below nothing.')

/** Words that people search for, with what is known of them. */
export const Keyword = z.object({
  id: Id,
  show: Id,
  words: z
    .string()
    .trim()
    .min(1, 'A keyword needs at least a word.')
    .max(120, 'A keyword has at most 120 characters.'),
  /** Searches a month, and results that compete for it. */
  searches: figure.optional(),
  competing: figure.optional(),
  /** The date of these figures. */
  measured: Day.optional(),
  notes: z.string(),
  ...stamps,
})
export type Keyword = z.infer<typeof Keyword>
