import { z } from 'zod/mini'
import { ClockTime, Day, Id, Moment, stamps } from './basics'
import { ShotPlan, Take } from './script'

/** What is done in one go with one set-up; `stock` is footage for no episode yet. */
export const SessionKind = z.enum([
  'film',
  'record',
  'write',
  'edit',
  'pictures',
  'research',
  'planning',
  'stock',
])
export type SessionKind = z.infer<typeof SessionKind>

/** A shot that belongs to no episode. */
export const OwnShot = z.object({
  id: Id,
  text: z.string().check(z.trim(), z.minLength(1, 'A shot needs a word.')),
  got: z.boolean(),
  shot: z.optional(ShotPlan),
  takes: z.optional(z.array(Take)),
})
export type OwnShot = z.infer<typeof OwnShot>

/** A stretch of a session: what was done in it, or a break. */
export const Stretch = z.object({
  kind: z.enum(['done', 'break']),
  /** What was done: a shot, a section, a step; empty for a break. */
  of: z.string(),
  from: Moment,
  to: Moment,
})
export type Stretch = z.infer<typeof Stretch>

/** How a session stands: planned, setting up, on its way, at a break, or struck. */
export const SessionRun = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('planned') }),
  /** `warned`: it was said once that something is not ready yet. */
  z.object({ kind: z.literal('setting up'), begun: Moment, warned: z.optional(z.boolean()) }),
  /** `at` is what is in hand, `since` when. The first shot was at `rolled`. */
  z.object({
    kind: z.literal('running'),
    begun: Moment,
    rolled: Moment,
    at: z.string(),
    since: Moment,
    pause: z.optional(Moment),
  }),
  /** `minutes` without breaks; `got` of what was to be got. */
  z.object({
    kind: z.literal('struck'),
    begun: Moment,
    ended: Moment,
    setup: z.int().check(z.gte(0)),
    minutes: z.int().check(z.gte(0)),
    got: z.int().check(z.gte(0)),
    of: z.int().check(z.gte(0)),
  }),
])
export type SessionRun = z.infer<typeof SessionRun>

/** A batch: several episodes' steps of one kind done in one go with one set-up. */
export const Session = z.object({
  id: Id,
  kind: SessionKind,
  day: Day,
  at: z.optional(ClockTime),
  /** The steps that are done in it; of those that lie on its day. */
  steps: z.array(Id),
  /** How long it is where it has no steps. */
  minutes: z.optional(z.int().check(z.gte(5), z.lte(1440))),
  /** When daylight ends. */
  light: z.optional(ClockTime),
  /** What the hand has put right behind what; empty for the first place. */
  behind: z.record(Id, z.string()),
  /** The order that holds since the first shot. */
  order: z.array(Id),
  /** Put off to another day. */
  put: z.array(Id),
  shots: z.array(OwnShot),
  /** Items of its own checklists that are ticked. */
  checked: z.array(z.string()),
  stretches: z.array(Stretch),
  run: SessionRun,
  ...stamps,
})
export type Session = z.infer<typeof Session>
