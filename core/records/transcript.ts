import { z } from 'zod/mini'
import { Id, stamps } from './basics'

const seconds = z.number().check(z.gte(0), z.lte(360_000))

/** What is heard from one moment of an episode to another, seconds; lines as they are shown. */
export const Caption = z.object({ from: seconds, to: seconds, text: z.string() })
export type Caption = z.infer<typeof Caption>

/** What is heard in an episode; its id is the episode's. `made`: whether it was read in, or estimated from the script. */
export const Transcript = z.object({
  id: Id,
  made: z.enum(['read', 'script']),
  captions: z.array(Caption),
  ...stamps,
})
export type Transcript = z.infer<typeof Transcript>
