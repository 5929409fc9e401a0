import { z } from 'zod/mini'
import { RhythmStart, Rule } from './rule-check'
import { ClockTime, Day, Id, Minutes, StepKind, stamps } from './basics'

/** Work that belongs to no episode: once, or by a recurrence (RFC 5545) from a first date on. */
export const StandingWork = z.object({
  id: Id,
  name: z.string().check(z.trim(), z.minLength(1, 'Standing work needs a name, for example “Mailing list”.')),
  kind: StepKind,
  minutes: Minutes,
  when: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('once'), day: Day }),
    z.object({ kind: z.literal('rule'), rule: Rule, start: RhythmStart }),
  ]),
  at: z.optional(ClockTime),
  /** Dates on which it is left out this once, and dates on which it was done. */
  skipped: z.array(Day),
  done: z.array(Day),
  ...stamps,
})
export type StandingWork = z.infer<typeof StandingWork>

/**
 * Time that is taken by something else, read from a calendar: so many minutes of a date's hours. `uid` and
 * date make its id, so that a second import updates.
 */
export const Busy = z.object({
  id: Id,
  uid: z.string(),
  name: z.string(),
  day: Day,
  minutes: z.int().check(z.gte(1), z.lte(1440)),
  at: z.optional(ClockTime),
  ...stamps,
})
export type Busy = z.infer<typeof Busy>
