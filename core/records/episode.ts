import { z } from 'zod'
import { ClockTime, Day, Id, Moment, stamps } from './basics'
import { Idea, Picture } from './idea'

/** Where an episode stands in its life. An idea is an episode on which no work has started. */
export const Phase = z.discriminatedUnion('name', [
  z.object({ name: z.literal('idea') }),
  z.object({ name: z.literal('work'), since: Moment }),
  /** `after`: the episode that it is to follow. */
  z.object({ name: z.literal('parked'), why: z.string(), after: Id.optional() }),
  z.object({ name: z.literal('released'), at: Moment }),
  z.object({ name: z.literal('dropped'), why: z.string() }),
])
export type Phase = z.infer<typeof Phase>

/** Where an episode is placed: nowhere, on a slot by its original date, or at a moment of its own. */
export const Place = z.discriminatedUnion('on', [
  z.object({ on: z.literal('nothing') }),
  z.object({ on: z.literal('slot'), day: Day }),
  z.object({ on: z.literal('own'), day: Day, time: ClockTime }),
])
export type Place = z.infer<typeof Place>

export const Nature = z.discriminatedUnion('is', [
  z.object({ is: z.literal('evergreen') }),
  z.object({ is: z.literal('topical'), notBefore: Day.optional(), staleAfter: Day.optional() }),
])
export type Nature = z.infer<typeof Nature>

/** What is settled before filming. */
export const Brief = z.object({
  takeaway: z.string(),
  points: z.array(z.string()).max(3, 'A brief has three main points.'),
  description: z.string(),
  pictureIdea: z.string(),
  pictureWords: z.string(),
})
export type Brief = z.infer<typeof Brief>

/** One thing that a follow-on did. */
export const Followed = z.object({
  id: Id,
  follow: Id,
  at: Moment,
  says: z.string(),
  shows: z.enum(['note', 'folder']).optional(),
})
export type Followed = z.infer<typeof Followed>

/** The edit as it came out: whole length and where sections start, in seconds. */
export const Cut = z.object({
  length: z.number().positive().optional(),
  starts: z.record(Id, z.number().min(0)),
})
export type Cut = z.infer<typeof Cut>

/** The unit of work from first thought to back catalogue. */
export const Episode = z.object({
  id: Id,
  show: Id,
  /** Four letters and digits that never change. */
  code: z.string().regex(/^[0-9A-Z]{4,6}$/),
  /** The number, once it is fixed: released, or out of the program in a kit. */
  number: z.number().int().min(1).optional(),
  title: z
    .string()
    .trim()
    .min(1, 'An idea needs at least a word.')
    .max(300, 'A title has at most 300 characters.'),
  note: z.string(),
  idea: Idea,
  phase: Phase,
  place: Place,
  nature: Nature,
  spare: z.boolean(),
  priority: z.number().int().min(0).max(3),
  brief: Brief,
  titles: z.array(z.object({ id: Id, text: z.string() })),
  chosenTitle: Id.optional(),
  tags: z.array(z.string()),
  topics: z.array(z.string()),
  links: z.array(z.object({ id: Id, label: z.string(), url: z.string() })),
  guests: z.array(z.string()),
  sponsor: z.string().optional(),
  pictures: z.array(Picture),
  chosenPicture: Id.optional(),
  cut: Cut,
  /** Views (or listens) at an age in days since release. */
  /** The recipe it is made by, where it isn't its show's first. */
  recipe: Id.optional(),
  /** No work on it earlier than so many days before its release: news, live. */
  early: z.number().int().min(0).max(365).optional(),
  /** Items of its recipe's checklists that are ticked. */
  ticked: z.array(Id).optional(),
  /** Lines of a changed recipe that it goes without, and steps that it keeps though the line is gone. */
  left: z.array(Id).optional(),
  /** What followed by itself, each follow-on once; a note or a folder stays on Today until it is put away. */
  followed: z.array(Followed).optional(),
  figures: z.array(z.object({ age: z.number().int().min(0), views: z.number().int().min(0) })),
  ...stamps,
})
export type Episode = z.infer<typeof Episode>
