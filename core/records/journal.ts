import { z } from 'zod/mini'
import { Id, Moment } from './basics'
import { StoredChange } from './changes'

/**
 * One thing that was done: a line of history, and what undo needs. `done` counts, `undone` can be done again,
 * `dropped` was undone and then overtaken by something else. Old lines keep their sentence alone.
 */
export const JournalLine = z.object({
  seq: z.int().check(z.gte(1)),
  at: Moment,
  sentence: z.string(),
  about: z.array(Id),
  state: z.enum(['done', 'undone', 'dropped']),
  tab: z.string(),
  merge: z.optional(z.string()),
  /** The counts of writes, over all tabs, at which it was first and last written. */
  from: z.optional(z.int()),
  rev: z.optional(z.int()),
  changes: z.array(StoredChange),
})
export type JournalLine = z.infer<typeof JournalLine>
