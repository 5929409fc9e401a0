import { z } from 'zod/mini'

// The small form says what is wrong only where it is told how.
z.config(z.locales.en())

/** A record's id: any text that is not empty, made by the caller. */
export const Id = z.string().check(z.minLength(1))
export type Id = z.infer<typeof Id>

/** A calendar date without zone, ISO 8601, such as `2026-11-24`. Impossible dates are refused. */
export const Day = z.iso.date(
  'This is not a date that exists. Write it as year-month-day, for example 2026-11-24.',
)
export type Day = z.infer<typeof Day>

/** A time of day on the clock, 24 hours, such as `17:00`. */
export const ClockTime = z
  .string()
  .check(
    z.regex(
      /^([01]\d|2[0-3]):[0-5]\d$/,
      'This is not a time of day. Write it as hours and minutes, for example 17:00.',
    ),
  )
export type ClockTime = z.infer<typeof ClockTime>

/** A moment, ISO 8601 in UTC with milliseconds. */
export const Moment = z.iso.datetime('This is not a moment in time.')
export type Moment = z.infer<typeof Moment>

function zoneExists(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** A time zone by its IANA name, such as `Europe/Lisbon`. */
export const Zone = z
  .string()
  .check(
    z.refine(zoneExists, 'This time zone is not known. Choose one from the list, for example Europe/Lisbon.'),
  )
export type Zone = z.infer<typeof Zone>

/** Whole minutes of work, from nothing to a hundred hours. */
export const Minutes = z.int().check(z.gte(0), z.lte(6000))

/** The stages that the trade knows, and `own` for a stage of the creator's making. */
export const StageKind = z.enum(['brief', 'script', 'film', 'edit', 'thumbnail', 'release', 'after', 'own'])
export type StageKind = z.infer<typeof StageKind>

/** A part of an episode that can be there or missing. A step or a stage may be tied to one. */
export const Part = z.enum([
  'brief',
  'title',
  'script',
  'shots',
  'length',
  'picture',
  'thumbnail',
  'description',
  'tags',
  'chapters',
  'links',
  'keyword',
])
export type Part = z.infer<typeof Part>

/** What sort of work a step is; batching and estimates go by it. */
export const StepKind = z.enum(['research', 'write', 'prepare', 'film', 'record', 'edit', 'design', 'admin'])
export type StepKind = z.infer<typeof StepKind>

/**
 * When a step is due. `before`: days before the release. `after`: days after it.
 * `ahead`: days before another step is due, by that step's id (in a recipe: the line's id).
 */
export const Lead = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('before'), days: z.int().check(z.gte(0), z.lte(365)) }),
  z.object({ kind: z.literal('after'), days: z.int().check(z.gte(0), z.lte(365)) }),
  z.object({ kind: z.literal('ahead'), step: Id, days: z.int().check(z.gte(0), z.lte(365)) }),
])
export type Lead = z.infer<typeof Lead>

/** Creation and last change, on records that people edit. */
export const stamps = { createdAt: Moment, updatedAt: Moment }
