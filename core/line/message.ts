import { z } from 'zod/mini'

const text = (most: number) => z.string().check(z.maxLength(most))

/** What is handed over to an outlet: everything that goes out of one thing, without its picture's bytes. */
export const HandedThing = z.object({
  /** The same thing has the same id however often it is handed over: a lost answer never makes two. */
  id: z.string().check(z.regex(/^[\w-]{3,120}$/)),
  show: text(200),
  kind: z.enum(['video', 'audio']),
  number: z.optional(z.int().check(z.gte(1))),
  title: text(2000),
  description: text(200_000),
  tags: z.array(text(500)).check(z.maxLength(500)),
  chapters: z
    .array(z.object({ start: z.number().check(z.gte(0)), title: text(2000) }))
    .check(z.maxLength(500)),
  links: z.array(z.object({ label: text(500), url: text(4000) })).check(z.maxLength(200)),
  guests: z.array(text(200)).check(z.maxLength(50)),
  /** Seconds. */
  length: z.optional(z.number().check(z.positive())),
  /** WebVTT. */
  transcript: z.optional(text(2_000_000)),
  /** When it is to go out. */
  at: z.iso.datetime(),
})
export type HandedThing = z.infer<typeof HandedThing>

/** How an outlet has a thing: taken and to come out by itself, or live; where, and how often it was seen. */
export const Standing = z.object({
  id: z.string(),
  state: z.enum(['scheduled', 'live']),
  address: z.string(),
  views: z.int().check(z.gte(0)),
})
export type Standing = z.infer<typeof Standing>

/** What an outlet refuses, by part, and how to mend it. */
export const Refusal = z.object({
  problems: z.array(z.object({ part: z.string(), says: z.string() })),
})
export type Refusal = z.infer<typeof Refusal>

/** What comes of handing something over. `lost`: no answer came; it may have been taken. */
export type Answer =
  | { kind: 'taken'; standing: Standing }
  | { kind: 'refused'; problems: Refusal['problems'] }
  | { kind: 'lost'; says: string }

/**
 * An outlet that a program can speak to. The stand-in that ships with the server is one; a real outlet would be another
 * class of the same.
 */
export interface OutletLine {
  /** Hands a thing over, or hands it over anew; its picture as a JPEG. */
  hand: (thing: HandedThing, picture: Uint8Array | undefined) => Promise<Answer>
  /** How it has a thing; nothing where it has none, or does not answer. */
  ask: (id: string) => Promise<Standing | undefined>
}
