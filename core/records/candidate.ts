import { z } from 'zod/mini'
import { Id } from './basics'
import { Picture } from './idea'

const Share = z.number().check(z.gte(-1), z.lte(2))
/** A colour as `#rrggbb`. */
export const Colour = z
  .string()
  .check(
    z.regex(/^#[0-9a-f]{6}$/i, 'This is not a colour. Write it as # and six letters or digits, #ffcc00.'),
  )

/** A line of words in a picture and the box round its letters, as shares of the picture's width and height. */
export const PictureWords = z.object({
  text: z.string().check(z.maxLength(200, 'A line in a picture has at most 200 characters.')),
  x: Share,
  y: Share,
  w: z.number().check(z.positive(), z.lte(2)),
  h: z.number().check(z.positive(), z.lte(2)),
  /** Laid over it here, or drawn round by hand in a finished picture. */
  known: z.enum(['laid', 'drawn']),
})
export type PictureWords = z.infer<typeof PictureWords>

/** Words laid over a picture: left and top of the first line as shares, the size of letters as a share of its height. */
export const LaidWords = z.object({
  id: Id,
  text: z.string().check(z.maxLength(200, 'Words over a picture have at most 200 characters.')),
  x: Share,
  y: Share,
  size: z.number().check(z.gte(0.02), z.lte(0.8)),
  colour: Colour,
  outline: z.optional(Colour),
})
export type LaidWords = z.infer<typeof LaidWords>

/**
 * How a candidate was made here: from which picture (its bytes stay), which part of it fills the frame, and the words
 * over it. `x`, `y` is the part's middle as shares of that picture; at a zoom of 1 it just covers the frame; `turn` in
 * degrees straightens it.
 */
export const MadeOf = z.object({
  base: Picture,
  x: Share,
  y: Share,
  zoom: z.number().check(z.gte(1), z.lte(8)),
  turn: z.number().check(z.gte(-45), z.lte(45)),
  words: z.array(LaidWords),
})
export type MadeOf = z.infer<typeof MadeOf>

/** A picture tried for an episode. */
export const Candidate = z.extend(Picture, {
  made: z.optional(MadeOf),
  /** The words in it, as far as they are known; an empty list says that it has none. */
  words: z.optional(z.array(PictureWords)),
  /** Why it is not to be taken. */
  refused: z.optional(z.string().check(z.maxLength(300, 'A reason has at most 300 characters.'))),
})
export type Candidate = z.infer<typeof Candidate>

/** From when on a picture's measures are pointed out. */
export const Proof = z.object({
  /** Height of letters in a list, px. */
  letters: z.number().check(z.gte(1), z.lte(60)),
  /** Contrast of words to what is round them, 1 to 21. */
  contrast: z.number().check(z.gte(1), z.lte(21)),
  /** Share of its words that the title doesn't say. */
  fresh: z.number().check(z.gte(0), z.lte(1)),
  /** Share of its edges that are left when it is small. */
  edges: z.number().check(z.gte(0), z.lte(1)),
  /** Likeness to an earlier one, 0 to 1. */
  like: z.number().check(z.gte(0), z.lte(1)),
})
export type Proof = z.infer<typeof Proof>
