import { z } from 'zod/mini'
import { Id, stamps } from './basics'

/** Something attached to a beat: a shot to get, or a note for another hand. */
export const Cue = z.object({
  id: Id,
  kind: z.enum(['shot', 'graphic', 'edit', 'upload']),
  text: z.string(),
  got: z.boolean(),
})
export type Cue = z.infer<typeof Cue>

export const Delivery = z.enum(['camera', 'voice'])
export type Delivery = z.infer<typeof Delivery>

/** One passage of a script. `hold` is silence or music in seconds after it. */
export const Beat = z.object({
  id: Id,
  delivery: Delivery,
  text: z.string(),
  hold: z.number().check(z.gte(0)),
  cues: z.array(Cue),
})
export type Beat = z.infer<typeof Beat>

/** How something is spoken: in full words as written, from points, or freely with nothing but a length. */
export const Spoken = z.enum(['words', 'points', 'free'])
export type Spoken = z.infer<typeof Spoken>

const speech = {
  spoken: z.optional(Spoken),
  /** How long it lasts where it is spoken freely, seconds. */
  lasts: z.optional(z.number().check(z.gte(0), z.lte(86_400))),
}

/** One section; where it doesn't say how it is spoken, its script does. */
export const Section = z.object({ id: Id, title: z.string(), beats: z.array(Beat), ...speech })
export type Section = z.infer<typeof Section>

/** An episode's script; its id is the episode's. Where nothing is said it is spoken in full words. */
export const Script = z.object({ id: Id, sections: z.array(Section), ...speech, ...stamps })
export type Script = z.infer<typeof Script>
