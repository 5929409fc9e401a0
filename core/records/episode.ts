import { z } from 'zod/mini'
import { ClockTime, Day, Id, Moment, stamps } from './basics'
import { Candidate } from './candidate'
import { Fact, mostFacts } from './fact'
import { Figure } from './figure'
import { Idea, Picture } from './idea'
import { Material } from './material'
import { AskedRead } from './offer'
import { Handed, Otherwise } from './outlet'
import { Visit } from './person'
import { SpinOff } from './spin-off'

/** Where an episode stands in its life. An idea is an episode on which no work has started. */
export const Phase = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('idea') }),
  /** `scheduled`: uploaded to its outlets, to come out by itself at that moment. */
  z.object({ kind: z.literal('work'), since: Moment, scheduled: z.optional(Moment) }),
  /** `after`: the episode that it is to follow. */
  z.object({ kind: z.literal('parked'), why: z.string(), after: z.optional(Id) }),
  /** `planned`: when it was to go out. */
  z.object({ kind: z.literal('released'), at: Moment, planned: z.optional(Moment) }),
  z.object({ kind: z.literal('dropped'), why: z.string() }),
])
export type Phase = z.infer<typeof Phase>

/** Where an episode is placed: nowhere, on a slot by its original date, or at a moment of its own. */
export const Place = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('nothing') }),
  z.object({ kind: z.literal('slot'), day: Day }),
  z.object({ kind: z.literal('own'), day: Day, time: ClockTime }),
])
export type Place = z.infer<typeof Place>

export const Nature = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('evergreen') }),
  z.object({ kind: z.literal('topical'), notBefore: z.optional(Day), staleAfter: z.optional(Day) }),
])
export type Nature = z.infer<typeof Nature>

/** What is settled before filming. */
export const Brief = z.object({
  takeaway: z.string(),
  points: z.array(z.string()).check(z.maxLength(3, 'A brief has three main points.')),
  description: z.string(),
  pictureIdea: z.string(),
  pictureWords: z.string(),
  pictureSketch: z.optional(Picture),
})
export type Brief = z.infer<typeof Brief>

/** An idea for the picture that was not chosen; the chosen one stands in the brief. */
export const PictureIdea = z.object({
  id: Id,
  idea: z.string(),
  words: z.string(),
  sketch: z.optional(Picture),
})
export type PictureIdea = z.infer<typeof PictureIdea>

/** A way to call it, with the score that some tool gave it and a remark. */
export const TitleCandidate = z.object({
  id: Id,
  text: z.string(),
  score: z.optional(
    z.number().check(z.gte(0, 'A score is 0 or more.'), z.lte(1000, 'A score is at most 1,000.')),
  ),
  note: z.optional(z.string()),
})
export type TitleCandidate = z.infer<typeof TitleCandidate>

/**
 * A link that goes public, and where: into the description (where nothing is said), the outlet's own place for
 * links, or nowhere for now.
 */
export const PublicLink = z.object({
  id: Id,
  label: z.string(),
  url: z.string(),
  goes: z.optional(z.enum(['description', 'outlet', 'nowhere'])),
  /** The episode that it leads to, where it leads to one of one's own. */
  episode: z.optional(Id),
  /** When it was put into a description that is out already. */
  pasted: z.optional(Moment),
})
export type PublicLink = z.infer<typeof PublicLink>

/** One thing that a follow-on did. */
export const Followed = z.object({
  id: Id,
  follow: Id,
  at: Moment,
  says: z.string(),
  shows: z.optional(z.enum(['note', 'folder'])),
})
export type Followed = z.infer<typeof Followed>

/** The edit as it came out: whole length and where sections start, in seconds. */
export const Timing = z.object({
  length: z.optional(z.number().check(z.positive())),
  starts: z.record(Id, z.number().check(z.gte(0))),
})
export type Timing = z.infer<typeof Timing>

/** A clip of others' that was found while editing. */
export const Clip = z.object({ id: Id, text: z.string(), source: z.string(), licence: z.string() })
export type Clip = z.infer<typeof Clip>

/** A passage of the cut that was taken to go out by itself, from and to in seconds. */
export const Excerpt = z
  .object({ id: Id, from: z.number().check(z.gte(0)), to: z.number().check(z.gte(0)), text: z.string() })
  .check(z.refine((e) => e.from < e.to, 'An excerpt ends after it begins.'))
export type Excerpt = z.infer<typeof Excerpt>

/** A place where footage is kept safe: a disk, a store elsewhere. */
export const SafePlace = z.object({
  place: z.string().check(z.trim(), z.minLength(1, 'Say where it is kept.'), z.maxLength(80)),
  on: Day,
})
export type SafePlace = z.infer<typeof SafePlace>

/** The unit of work from first thought to back catalogue. */
export const Episode = z.object({
  id: Id,
  show: Id,
  /** Four letters and digits that never change. */
  code: z.string().check(z.regex(/^[0-9A-Z]{4,6}$/)),
  /** The number, once it is fixed: released, or out of the program in a kit. */
  number: z.optional(z.int().check(z.gte(1))),
  title: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'An idea needs at least a word.'),
      z.maxLength(300, 'A title has at most 300 characters.'),
    ),
  note: z.string(),
  idea: Idea,
  phase: Phase,
  place: Place,
  /** The day on which it was put where it stands: a short notice is counted from it (`engine` 2b). */
  placedOn: z.optional(Day),
  nature: Nature,
  spare: z.boolean(),
  priority: z.int().check(z.gte(0), z.lte(3)),
  brief: Brief,
  titles: z.array(TitleCandidate),
  chosenTitle: z.optional(Id),
  tags: z.array(z.string()),
  topics: z.array(z.string()),
  links: z.array(PublicLink),
  /** Where it lives: its address at each outlet, by the outlet's id. */
  addresses: z.optional(z.record(Id, z.string())),
  /** What is said otherwise at an outlet, by its id. */
  otherwise: z.optional(z.record(Id, Otherwise)),
  /** How far what goes out has been handed over, by the outlet's id, a further thing there with `/1`, `/2` behind it. */
  handed: z.optional(z.record(Id, Handed)),
  /** The episode that it follows, where it was thought of as going on from one. */
  follows: z.optional(Id),
  /** One line after it was out: what went well, what to change. */
  lookedBack: z.optional(
    z.object({
      well: z.string().check(z.maxLength(300)),
      change: z.string().check(z.maxLength(300)),
      at: Moment,
    }),
  ),
  /** What is said in it that may change, noted while it was written or later. */
  facts: z.optional(
    z
      .array(Fact)
      .check(z.maxLength(mostFacts, 'At most 60 things to look at again are noted in one episode.')),
  ),
  /** What feeds ask besides: its season, and whether it has strong words in it. */
  season: z.optional(z.int().check(z.gte(1, 'Seasons are counted from 1.'), z.lte(9999))),
  explicit: z.optional(z.boolean()),
  /** What it brought besides fees of deals, in the creator's currency. */
  income: z.optional(
    z.number().check(z.gte(0, 'Income is not below nothing.'), z.lte(10_000_000, 'At most ten million.')),
  ),
  /** Where its footage is kept safe, and since when. */
  safe: z.optional(z.array(SafePlace)),
  guests: z.array(z.string()),
  /** How far each guest is, by name; nothing is known of those who are not in it. */
  visits: z.optional(z.array(Visit)),
  sponsor: z.optional(z.string()),
  /** What the sponsor asked of its read. */
  read: z.optional(AskedRead),
  pictures: z.array(Candidate),
  pictureIdeas: z.optional(z.array(PictureIdea)),
  chosenPicture: z.optional(Id),
  /** The picture that is offered instead, where it runs below its usual. */
  runnerUp: z.optional(Id),
  /** When its picture was changed for the runner-up after it was out. */
  swapped: z.optional(Moment),
  cut: Timing,
  /** Clips found while editing; they become credits. */
  clips: z.optional(z.array(Clip)),
  /** Passages taken from it, in the order in which they stand. */
  excerpts: z.optional(z.array(Excerpt)),
  /** What is made of it besides, in the order in which it was thought of. */
  spinOffs: z.optional(z.array(SpinOff).check(z.maxLength(60, 'At most 60 things are made of one episode.'))),
  /** Which of its show's kinds of episode it is. */
  form: z.optional(Id),
  /** The recipe it is made by, where it isn't its show's first. */
  recipe: z.optional(Id),
  /** No work on it earlier than so many days before its release: news, live. */
  early: z.optional(z.int().check(z.gte(0), z.lte(365))),
  /** Items of its recipe's checklists that are ticked. */
  ticked: z.optional(z.array(Id)),
  /** What it needs bought, lent or fetched, and how much that may come to. */
  materials: z.optional(z.array(Material)),
  budget: z.optional(z.number().check(z.gte(0), z.lte(10_000_000))),
  /** Lines of a changed recipe that it goes without, and steps that it keeps though the line is gone. */
  left: z.optional(z.array(Id)),
  /** What followed by itself, each follow-on once; a note or a folder stays on Today until it is put away. */
  followed: z.optional(z.array(Followed)),
  /** What was counted of it, by age. */
  figures: z.array(Figure),
  ...stamps,
})
export type Episode = z.infer<typeof Episode>
