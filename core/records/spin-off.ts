import { z } from 'zod/mini'
import { Id, Minutes, Moment } from './basics'
import { When } from './outlet'

/** What can be made of an episode. */
export const SpinKind = z.enum(['excerpt', 'short', 'post', 'letter', 'article'])
export type SpinKind = z.infer<typeof SpinKind>

/** What a recipe has made of every episode: of which kind, for which outlet, when it goes out, and how long making it takes. */
export const SpinLine = z.object({
  id: Id,
  kind: SpinKind,
  outlet: z.optional(Id),
  when: When,
  minutes: Minutes,
})
export type SpinLine = z.infer<typeof SpinLine>

/**
 * Something made of an episode: an excerpt, a short, a post, a letter, an article. It has a code of its own, words and a title of its
 * own, and goes out at its outlet when it says; how far it is handed over stands with the episode (`handed`), under its outlet and id.
 */
export const SpinOff = z.object({
  id: Id,
  /** The episode's code with a letter behind it. */
  code: z.string().check(z.minLength(1)),
  kind: SpinKind,
  title: z.string().check(z.maxLength(300, 'A title has at most 300 characters.')),
  text: z.string().check(z.maxLength(40_000, 'At most 40,000 characters.')),
  /** The passage that it is, of those taken from the cut. */
  excerpt: z.optional(Id),
  outlet: z.optional(Id),
  when: When,
  /** The recipe's line that it came from. */
  line: z.optional(Id),
  /** Not made of this episode, though the recipe has it. */
  off: z.optional(z.boolean()),
  /** Where it is, once it is out. */
  address: z.optional(z.string().check(z.maxLength(500))),
  made: Moment,
})
export type SpinOff = z.infer<typeof SpinOff>
