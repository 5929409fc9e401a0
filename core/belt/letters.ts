import { z } from 'zod/mini'

const Id = z.string().check(z.minLength(1), z.maxLength(200))
const words = z.string().check(z.maxLength(2000))

/**
 * What is done on the belt. `saw` is how it stood there: where the desk has changed it meanwhile, the desk's word
 * stands.
 */
export const BeltDeed = z.discriminatedUnion('kind', [
  /** A take of something in a session; a kept one says that it was got. */
  z.object({
    kind: z.literal('take'),
    session: Id,
    item: Id,
    kept: z.boolean(),
    reason: words,
    seconds: z.number().check(z.gte(0), z.lte(86_400)),
    saw: z.boolean(),
  }),
  /** It was got after all not, or is. */
  z.object({ kind: z.literal('got'), session: Id, item: Id, got: z.boolean(), saw: z.boolean() }),
  z.object({ kind: z.literal('put'), session: Id, item: Id, on: z.boolean(), saw: z.boolean() }),
  z.object({ kind: z.literal('check'), session: Id, item: Id, on: z.boolean(), saw: z.boolean() }),
  z.object({ kind: z.literal('step'), step: Id, done: z.boolean(), saw: z.boolean() }),
  z.object({ kind: z.literal('remark'), session: Id, item: Id, text: words }),
])
export type BeltDeed = z.infer<typeof BeltDeed>

/** A deed on its way to the desk: from which device, the how manieth of it, and when it was done. */
export const BeltLetter = z.object({
  id: z.string().check(z.regex(/^[0-9a-zA-Z-]{8,64}$/)),
  device: z.string().check(z.maxLength(64)),
  n: z.int().check(z.gte(0)),
  at: z.iso.datetime(),
  deed: BeltDeed,
})
export type BeltLetter = z.infer<typeof BeltLetter>

/** Letters in the order in which they were written, each device's by its own count. */
export function inWriting(letters: readonly BeltLetter[]): BeltLetter[] {
  return [...letters].sort((a, b) =>
    a.device === b.device ? a.n - b.n : a.at === b.at ? (a.device < b.device ? -1 : 1) : a.at < b.at ? -1 : 1,
  )
}
