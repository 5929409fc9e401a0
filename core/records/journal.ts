import { z } from 'zod'
import { Id, Moment } from './basics'
import { StoredChange } from './changes'

/**
 * One thing that was done: a line of history, and what undo needs. `done` counts, `undone` can be done again,
 * `dropped` was undone and then overtaken by something else. Old lines keep their sentence alone.
 */
export const JournalLine = z.object({
  seq: z.number().int().min(1),
  at: Moment,
  sentence: z.string(),
  about: z.array(Id),
  state: z.enum(['done', 'undone', 'dropped']),
  tab: z.string(),
  merge: z.string().optional(),
  /** The counts of writes, over all tabs, at which it was first and last written. */
  from: z.number().int().optional(),
  rev: z.number().int().optional(),
  changes: z.array(StoredChange),
})
export type JournalLine = z.infer<typeof JournalLine>
