import { z } from 'zod/mini'
import { Day, Id, Moment, Zone, stamps } from './basics'

/** A way to reach somebody. */
export const Way = z.object({
  id: Id,
  kind: z.enum(['mail', 'phone', 'address']),
  value: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'A way to reach somebody needs an address or a number.'),
      z.maxLength(300),
    ),
})
export type Way = z.infer<typeof Way>

/** What somebody is to a show. */
export const PersonRole = z.enum(['sponsor', 'guest', 'helper', 'reviewer'])
export type PersonRole = z.infer<typeof PersonRole>

/**
 * Somebody who takes part: a guest, a helper, a reviewer, a sponsor. Episodes, steps and jobs name people by their names; a
 * person is who any of their names stands for.
 */
export const Person = z.object({
  id: Id,
  name: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'Somebody needs a name.'),
      z.maxLength(80, 'A name has at most 80 characters.'),
    ),
  /** Other names under which they stand somewhere. */
  also: z.array(z.string()),
  roles: z.array(PersonRole),
  /** What they do: “ferry pilot”. */
  work: z.string().check(z.maxLength(120, 'At most 120 characters; the note has room for more.')),
  ways: z.array(Way),
  /** How they are known. */
  known: z.string(),
  zone: z.optional(Zone),
  note: z.string(),
  ...stamps,
})
export type Person = z.infer<typeof Person>

/**
 * How far a guest is with an episode, by their name: asked, answered, the step at which they are recorded (its block has day and time),
 * and when they were told that it is out.
 */
export const Visit = z.object({
  guest: z.string().check(z.trim(), z.minLength(1)),
  asked: z.optional(Day),
  answered: z.optional(z.object({ on: Day, comes: z.boolean() })),
  step: z.optional(Id),
  told: z.optional(Moment),
})
export type Visit = z.infer<typeof Visit>
