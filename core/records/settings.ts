import { z } from 'zod/mini'
import { Day, Id, Moment, StepKind, stamps } from './basics'
import { View, WorkView } from './view'

const dayMinutes = z
  .int()
  .check(z.gte(0, 'Hours cannot be below nothing.'), z.lte(1440, 'A day has 24 hours.'))

const weight = z.number().check(z.gte(0), z.lte(100))

/** How much each part of an idea's score weighs, 0 to 100. */
export const Weights = z.object({
  demand: weight,
  need: weight,
  past: weight,
  fit: weight,
  rating: weight,
  spacing: weight,
  occasion: weight,
})
export type Weights = z.infer<typeof Weights>

/** The weights of one who has moved none. */
export const freshWeights: Weights = {
  demand: 20,
  need: 25,
  past: 15,
  fit: 15,
  rating: 15,
  spacing: 10,
  occasion: 15,
}

/** What setting up costs in minutes before anything else is known. */
export const freshSetup = { film: 45, record: 20 }

/** The one settings record, id `settings`. Hours are minutes per weekday, Monday first. */
export const Settings = z.object({
  id: z.literal('settings'),
  hours: z.array(dayMinutes).check(z.length(7, 'A week has seven days.')),
  daysOff: z.array(Day),
  /** Minutes of single dates that differ from their weekday's. */
  exceptions: z.record(Day, dayMinutes),
  /** For days that were taken out of the hours, the day on which that was said: due dates that had come by then stand. */
  lostOn: z.optional(z.record(Day, Day)),
  /** Minutes that setting up costs once a day, and weekdays (Monday 0) preferred, by kind of step. */
  setup: z.partialRecord(StepKind, z.int().check(z.gte(0), z.lte(240))),
  preferred: z.partialRecord(StepKind, z.array(z.int().check(z.gte(0), z.lte(6)))),
  /** Kinds of work whose preferred weekdays count only once a month: the first, second … of it. */
  monthly: z.optional(z.partialRecord(StepKind, z.int().check(z.gte(1), z.lte(4)))),
  /** The step that is being worked on, since when. */
  running: z.optional(z.object({ step: Id, since: Moment })),
  /** What prices are in, as it is written beside them. */
  currency: z.optional(z.string().check(z.maxLength(6, 'A currency has at most six letters.'))),
  /** Days someone waited for may take before a nudge is due. */
  nudgeAfter: z.optional(z.int().check(z.gte(1), z.lte(90))),
  weights: Weights,
  views: z.array(View),
  /** Ways of looking at the work, kept under the creator's own names. */
  workViews: z.optional(z.array(WorkView)),
  /** When guests are not free, by name. */
  away: z.record(
    z.string(),
    z.array(
      z
        .object({ from: Day, to: Day })
        .check(z.refine((a) => a.from <= a.to, 'The first day away comes before the last.')),
    ),
  ),
  /** Own words for messages to people, by what each is for. */
  messages: z.optional(z.record(z.string(), z.string().check(z.maxLength(4000)))),
  theme: z.enum(['booth', 'daylight', 'system']),
  ...stamps,
})
export type Settings = z.infer<typeof Settings>
