import { z } from 'zod/mini'
import { ClockTime, Day, Id, Zone, stamps } from './basics'
import { Proof } from './candidate'
import { FrameRate } from './cut'
import { Followers } from './figure'
import { OwnField } from './idea'
import { RhythmStart, Rule } from './rule-check'

/** What a show recurs by: an RFC 5545 recurrence rule in local time, its first date and its time of day. */
const beat = { rule: Rule, start: RhythmStart, time: ClockTime }
export const Rhythm = z.object({
  ...beat,
  /** From date to date, both included, nothing goes out. */
  pauses: z.optional(
    z.array(
      z
        .object({ from: Day, to: Day })
        .check(z.refine((p) => p.from <= p.to, 'A pause ends on or after the day it begins.')),
    ),
  ),
  /**
   * More rhythms of the same show, each with its own time: an interview on first Saturdays beside every
   * Thursday.
   */
  also: z.optional(z.array(z.object({ ...beat, name: z.string(), recipe: z.optional(Id) }))),
  /** What held before `start`: each until the next begins. */
  earlier: z.optional(z.array(z.object(beat))),
})
export type Rhythm = z.infer<typeof Rhythm>

/** A kind of episode that a show makes (tutorial, talk, news, short), with the recipe of its own, if any. */
export const Form = z.object({
  id: Id,
  name: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'A kind of episode needs a name, for example “talk”.'),
      z.maxLength(24, 'The name of a kind has at most 24 characters.'),
    ),
  recipe: z.optional(Id),
})
export type Form = z.infer<typeof Form>

const toChange = z
  .number()
  .check(
    z.gte(0, 'A change takes no less than no minutes.'),
    z.lte(240, 'A change takes at most four hours; more of it is a day of its own.'),
  )
/** Minutes that it takes between two shots to go elsewhere, frame anew, light anew and change clothes. */
export const ChangeMinutes = z.object({
  place: toChange,
  framing: toChange,
  light: toChange,
  clothes: toChange,
})
export type ChangeMinutes = z.infer<typeof ChangeMinutes>

/** A series with one rhythm and one recipe. */
export const Show = z.object({
  id: Id,
  title: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'A show needs a name. Type one, for example the name your viewers know.'),
      z.maxLength(80, 'A show name has at most 80 characters.'),
    ),
  kind: z.enum(['video', 'audio']),
  zone: Zone,
  /** What stands before an episode's number: `#`, `HH `. */
  prefix: z.string().check(z.maxLength(6, 'The mark before a number has at most six characters.')),
  /** The least number that a next release may get. */
  nextNumber: z.int().check(z.gte(1, 'Numbers start at 1.')),
  rhythm: Rhythm,
  /** Original local dates of slots that are left out. */
  skipped: z.array(Day),
  /** Slots moved to another moment, by their original local date. */
  moved: z.record(Day, z.object({ day: Day, time: ClockTime })),
  recipe: Id,
  /** Recipes beside the first: interview, tutorial, live. */
  recipes: z.optional(z.array(Id)),
  /** Kinds of episode, in the order in which they are offered. */
  forms: z.optional(
    z
      .array(Form)
      .check(
        z.refine(
          (all) => new Set(all.map((f) => f.name.trim().toLowerCase())).size === all.length,
          'Two kinds have the same name. Give one of them another.',
        ),
      ),
  ),
  outlets: z.array(Id),
  /** Aimed running time in minutes. */
  aim: z
    .object({ from: z.number().check(z.gte(0)), to: z.number().check(z.gte(0)) })
    .check(z.refine((a) => a.from <= a.to, 'The shorter aim comes first: from 8 to 11, say.')),
  /** Pictures a second of its cuts; 25 where nothing is said. */
  frames: z.optional(FrameRate),
  /** What changing between its shots takes, where that is not as usual. */
  changeMinutes: z.optional(ChangeMinutes),
  /** From when on what is measured on a picture is pointed out, where it is not as usual. */
  proof: z.optional(Proof),
  /** The type of words over its pictures. */
  lettering: z.optional(z.enum(['heavy', 'plain', 'fixed'])),
  /** Words a minute by delivery. */
  pace: z.object({
    camera: z
      .number()
      .check(
        z.gte(40, 'Speech is at least 40 words a minute.'),
        z.lte(400, 'Speech is at most 400 words a minute.'),
      ),
    voice: z
      .number()
      .check(
        z.gte(40, 'Speech is at least 40 words a minute.'),
        z.lte(400, 'Speech is at most 400 words a minute.'),
      ),
    /** Seconds that a point takes where one speaks from points. */
    point: z.optional(
      z
        .number()
        .check(
          z.gte(5, 'A point takes at least 5 seconds.'),
          z.lte(900, 'A point takes at most 15 minutes.'),
        ),
    ),
  }),
  /** How many of the next slots the creator wishes to have ready. */
  readyAhead: z.int().check(z.gte(0)),
  /** The offer that its scripts begin with. */
  offer: z.optional(Id),
  /** The most that should be ready ahead: evergreen, and topical, which goes stale. */
  readyMost: z.optional(
    z.object({
      evergreen: z.int().check(z.gte(0), z.lte(200)),
      topical: z.int().check(z.gte(0), z.lte(200)),
    }),
  ),
  /** Topics with the share of releases that each should have. */
  topics: z.array(
    z.object({
      name: z.string().check(z.trim(), z.minLength(1, 'A topic needs a name.')),
      share: z.number().check(z.gte(0), z.lte(1)),
    }),
  ),
  /** How many followed it, by date. */
  followers: z.optional(z.array(Followers)),
  fields: z.array(OwnField),
  notes: z.string(),
  ...stamps,
})
export type Show = z.infer<typeof Show>
