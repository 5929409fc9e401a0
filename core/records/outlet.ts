import { z } from 'zod/mini'
import { ClockTime, Day, Id, Moment, Part, stamps } from './basics'
import { RhythmStart, Rule } from './rule-check'

/**
 * When something goes out at an outlet: with the release, so many minutes after it (before where negative), so many days
 * after or before it at a local time, or at the first moment of the outlet's own rhythm that is not before it (`engine` 15).
 */
export const When = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('with') }),
  z.object({
    kind: z.literal('minutes'),
    minutes: z
      .int()
      .check(
        z.gte(-1440, 'More than a day is said in days.'),
        z.lte(1440, 'More than a day is said in days.'),
      ),
  }),
  z.object({
    kind: z.literal('days'),
    days: z.int().check(z.gte(-60, 'At most 60 days before.'), z.lte(60, 'At most 60 days after.')),
    time: ClockTime,
  }),
  z.object({ kind: z.literal('rhythm'), rule: Rule, start: RhythmStart, time: ClockTime }),
])
export type When = z.infer<typeof When>

/** A place that episodes are released to, with its own limits and required parts. */
export const Outlet = z.object({
  id: Id,
  name: z.string().check(z.trim(), z.minLength(1, 'An outlet needs a name.')),
  required: z.array(Part),
  titleLimit: z
    .int()
    .check(z.gte(1, 'A title may have at least one character. Type a whole number from 1 on.')),
  descriptionLimit: z
    .int()
    .check(z.gte(1, 'A description may have at least one character. Type a whole number from 1 on.')),
  /** Characters of the description that show before a viewer unfolds it. */
  fold: z.int().check(z.gte(0)),
  /**
   * Characters that all tags together may take: each tag, a separator between two, quotes round a tag with
   * a space.
   */
  tagLimit: z.int().check(z.gte(0)),
  chapters: z.object({ least: z.int().check(z.gte(0)), gap: z.number().check(z.gte(0)) }),
  /** Parts that it has a place for; all of them where nothing is said. What it requires it takes. */
  takes: z.optional(z.array(Part)),
  /** How it wants tags: in a field of its own, or as hashtags at the end of the words; and how many at most. */
  tagForm: z.optional(z.enum(['tags', 'hashtags'])),
  tagMost: z.optional(z.int().check(z.gte(0), z.lte(500))),
  /** When what goes there goes out; with the release where nothing is said. */
  when: z.optional(When),
  /** Further things of the same episode that go out there, each with its own moment: a second excerpt. */
  more: z.optional(
    z.array(When).check(z.maxLength(12, 'At most 13 things of an episode go out at one outlet.')),
  ),
  /** What one thing there is called, where it is not the episode itself: “Excerpt”. */
  thing: z.optional(z.string().check(z.maxLength(24, 'What it is called has at most 24 characters.'))),
  /** Written once for all that goes there. */
  standing: z.optional(
    z.object({
      closing: z.optional(
        z.string().check(z.maxLength(2000, 'Closing lines have at most 2,000 characters.')),
      ),
      hashtags: z.optional(z.array(z.string())),
      playlist: z.optional(z.string()),
      comment: z.optional(z.string()),
      endScreen: z.optional(z.string()),
    }),
  ),
  /** How the program itself may speak to it; only the stand-in that ships with it for now. */
  line: z.optional(z.object({ kind: z.literal('stand-in'), key: z.string() })),
  /** Most bytes a thumbnail may have. */
  pictureBytes: z
    .int()
    .check(z.gte(1, 'A picture needs some room. Type its most kilobytes, for example 2000.')),
  ...stamps,
})
export type Outlet = z.infer<typeof Outlet>

/** What is said otherwise at one outlet than everywhere. */
export const Otherwise = z.object({
  title: z.optional(z.string().check(z.maxLength(300, 'A title has at most 300 characters.'))),
  description: z.optional(z.string()),
})
export type Otherwise = z.infer<typeof Otherwise>

/** How far one thing has been handed over to its outlet: each state with the moment at which somebody said so. */
export const Handed = z.object({
  prepared: z.optional(Moment),
  uploaded: z.optional(Moment),
  scheduled: z.optional(Moment),
  /** The moment for which it was scheduled; where that is another by now, it is so no longer. */
  going: z.optional(Moment),
  live: z.optional(Moment),
  told: z.optional(Moment),
  safe: z.optional(Moment),
  /** Fields that were copied over. */
  copied: z.optional(z.array(z.string())),
  /** The outlet took it from the program: where it will be, when that was, and for which moment. */
  taken: z.optional(z.object({ address: z.string(), at: Moment, going: Moment })),
  /** A moment of its own, fixed by hand: it stays where it is when the release moves. */
  fixed: z.optional(z.object({ day: Day, time: ClockTime })),
})
export type Handed = z.infer<typeof Handed>
