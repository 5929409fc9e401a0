import { z } from 'zod/mini'

const Id = z.string().check(z.minLength(1), z.maxLength(200))
const clean = (s: string) => [...s].every((c) => c >= ' ' || c === '\n' || c === '\t')
/** Text as a helper may send it: some words, no control signs. */
const words = (most: number) =>
  z.string().check(
    z.maxLength(most, `At most ${most} characters fit here.`),
    z.refine((s) => s.trim() !== '', 'A few words are needed.'),
    z.refine(clean, 'There are signs in it that are no text.'),
  )

/** How far an assistant may say that something is at its outlet; what must be looked at stays with the creator. */
export const helperStates = ['uploaded', 'scheduled'] as const

/**
 * What a helper does on their page. `saw`: how it stood there; where the desk has changed it meanwhile, the desk's word
 * stands.
 */
export const HelperDeed = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('opened') }),
  z.object({ kind: z.literal('tick'), note: Id, done: z.boolean(), saw: z.boolean() }),
  z.object({ kind: z.literal('ask'), text: words(2000) }),
  /** A cut, by the address where it lies or by its file's name; with some words about it. */
  z.object({ kind: z.literal('back'), where: words(1000), says: z.string().check(z.maxLength(2000)) }),
  /** A note on the cut as it is typed: a time, `!` before what is to be done, words. */
  z.object({ kind: z.literal('note'), text: words(2000) }),
  /** All is noted: the reviewer is through. */
  z.object({ kind: z.literal('through') }),
  z.object({ kind: z.literal('handed'), key: Id, state: z.enum(helperStates), on: z.boolean() }),
])
export type HelperDeed = z.infer<typeof HelperDeed>

/** A deed on its way to the desk; of which job, the mailbox says by the address at which it came in. */
export const HelperMail = z.object({
  kind: z.literal('helper'),
  id: z.string().check(z.regex(/^[0-9a-zA-Z-]{8,64}$/, 'This is not an id.')),
  job: Id,
  n: z.int().check(z.gte(0)),
  at: z.iso.datetime(),
  deed: HelperDeed,
})
export type HelperMail = z.infer<typeof HelperMail>
