import { z } from 'zod/mini'

const text = z.string()
const texts = z.array(text)

/** One thing for an outlet, with its fields in the order in which they are copied over. */
const PageThing = z.object({
  key: text,
  name: text,
  outlet: text,
  when: text,
  uploaded: z.boolean(),
  scheduled: z.boolean(),
  fields: z.array(z.object({ field: text, name: text, text, limit: text })),
  /** What is required there and not there yet. */
  lacking: texts,
})

/**
 * All that a helper's page shows. It is made at the desk from what was chosen and kept at the server word for word; the
 * page knows nothing else of the program.
 */
export const HelperPage = z.object({
  kind: z.enum(['cut', 'release', 'review']),
  who: text,
  show: text,
  number: text,
  title: text,
  due: text,
  aim: text,
  since: text,
  cut: z.optional(z.object({ number: z.number(), length: text })),
  opened: z.boolean(),
  back: z.boolean(),
  /** Where the cut lies that is looked at. */
  where: text,
  /** What was noted on it, by whom; empty for the creator. */
  notes: z.array(z.object({ at: text, text, by: text, isTask: z.boolean() })),
  toDo: z.array(z.object({ id: text, at: text, text, done: z.boolean(), again: z.boolean() })),
  /** What the edit needs, as far as it is there. */
  needs: texts,
  remarks: texts,
  guide: text,
  links: z.array(z.object({ label: text, url: text })),
  shots: z.array(z.object({ number: z.number(), text, takes: text })),
  lists: z.array(z.object({ name: text, lines: texts })),
  script: z.array(
    z.object({ title: text, beats: z.array(z.object({ text, voice: z.boolean(), cues: texts })) }),
  ),
  things: z.array(PageThing),
  asked: z.array(z.object({ id: text, text, answer: text })),
  /** What else lies with the same helper, the first wanted first. */
  also: z.array(z.object({ name: text, due: text })),
  /** Letters that the desk has taken, and what it said where its own word stood. */
  taken: z.array(z.object({ id: text, over: text })),
})
export type HelperPage = z.infer<typeof HelperPage>
export type PageThing = z.infer<typeof PageThing>
