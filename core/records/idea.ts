import { z } from 'zod/mini'
import { Day, Id, Minutes, Moment, StageKind } from './basics'

/** A calendar month without zone, such as `2026-11`. */
export const Month = z
  .string()
  .check(
    z.regex(/^\d{4}-(0[1-9]|1[0-2])$/, 'This is not a month. Write it as year-month, for example 2027-03.'),
  )
export type Month = z.infer<typeof Month>

/** A picture kept in the browser's store; its bytes are a file record with the same id. */
export const Picture = z.object({
  id: Id,
  name: z.string(),
  type: z.enum(['image/png', 'image/jpeg', 'image/webp', 'image/gif', 'image/svg+xml', 'image/avif']),
  width: z.int().check(z.positive()),
  height: z.int().check(z.positive()),
  size: z.int().check(z.positive()),
})
export type Picture = z.infer<typeof Picture>

/** A picture that belongs to an episode but isn't one of those tried for it. */
export const KeptImage = z.extend(Picture, {
  /** The stage at which it is wanted at hand. */
  stage: z.optional(StageKind),
})
export type KeptImage = z.infer<typeof KeptImage>

/** How an idea was sorted; `unsorted` until somebody looked at it. */
export const IdeaStanding = z.enum(['unsorted', 'next', 'promising', 'someday'])
export type IdeaStanding = z.infer<typeof IdeaStanding>

/**
 * Something that belongs to it and stays with its maker: where it came from, its footage, a draft. Never goes
 * public.
 */
export const Source = z.object({
  id: Id,
  text: z.string(),
  /** An address of the web, or a path on the creator's machine. */
  url: z.string(),
  /** The stage at which it is wanted at hand. */
  stage: z.optional(StageKind),
})
export type Source = z.infer<typeof Source>

/** One of the audience who asked for it; `told` once the message that it is out was sent. */
export const Asked = z.object({
  id: Id,
  name: z.string(),
  mail: z.string(),
  tell: z.boolean(),
  wish: z.string(),
  at: Moment,
  told: z.optional(Moment),
})
export type Asked = z.infer<typeof Asked>

/** A file kept beside an idea; its bytes are a file record with the same id. */
export const Attachment = z.object({
  id: Id,
  name: z.string().check(z.minLength(1)),
  type: z.string(),
  size: z.int().check(z.gte(0)),
  /** The stage at which it is wanted at hand. */
  stage: z.optional(StageKind),
})
export type Attachment = z.infer<typeof Attachment>

/** What an idea is tied to: it should go out between `lead` days before `day` and the day itself. */
export const Occasion = z.object({
  kind: z.enum(['launch', 'season', 'date']),
  name: z.string(),
  day: Day,
  lead: z.int().check(z.gte(0, 'The days before cannot be below nothing.'), z.lte(365)),
})
export type Occasion = z.infer<typeof Occasion>

/**
 * The value of one of the creator's own fields: text, number or tick. Dates, choices and links are text,
 * stars a number.
 */
export const OwnValue = z.union([z.string(), z.number(), z.boolean()])
export type OwnValue = z.infer<typeof OwnValue>

/** A field of the creator's own, per show. */
export const OwnField = z.object({
  id: Id,
  name: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'A field needs a name.'),
      z.maxLength(40, 'A field name has at most 40 characters.'),
    ),
  kind: z.enum(['text', 'number', 'date', 'choice', 'tick', 'stars', 'link']),
  choices: z.array(z.string()),
})
export type OwnField = z.infer<typeof OwnField>

/** What is known of an episode from its days as an idea. All of it is optional but the standing. */
export const Idea = z.object({
  standing: IdeaStanding,
  /** Put away until this date; it then comes back as unsorted. */
  restUntil: z.optional(Day),
  meant: z.optional(Month),
  /** Its place in an order made by hand; rises downward. Absent: by age, the newest first. */
  rank: z.optional(z.number()),
  premise: z.string(),
  why: z.string(),
  series: z.string(),
  /** The creator's own estimate in minutes, in place of the recipe's. */
  effort: z.optional(Minutes),
  rating: z.optional(z.int().check(z.gte(1), z.lte(5))),
  occasion: z.optional(Occasion),
  keywords: z.array(Id),
  sources: z.array(Source),
  asked: z.array(Asked),
  images: z.array(KeptImage),
  files: z.array(Attachment),
  own: z.record(Id, OwnValue),
})
export type Idea = z.infer<typeof Idea>

/** An idea of which only the line is known. */
export function bareIdea(): Idea {
  return {
    standing: 'unsorted',
    premise: '',
    why: '',
    series: '',
    keywords: [],
    sources: [],
    asked: [],
    images: [],
    files: [],
    own: {},
  }
}
