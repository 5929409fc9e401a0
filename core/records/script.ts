import { z } from 'zod/mini'
import { Id, Moment, stamps } from './basics'
import { Promised } from './offer'

/** What a cue asks for: a shot, a thing to find, a screen recording, a graphic, a sound; or whom it tells. */
export const CueKind = z.enum(['shot', 'find', 'screen', 'graphic', 'sound', 'edit', 'upload'])
export type CueKind = z.infer<typeof CueKind>

/** Where a cue for the upload goes. */
export const UploadPlace = z.enum(['card', 'end screen', 'link', 'comment'])
export type UploadPlace = z.infer<typeof UploadPlace>

const offset = z.number().check(z.int(), z.gte(0))

/** How a shot is filmed: where and with what, how long it takes, and what it must follow. What is not said is ''. */
export const ShotPlan = z.object({
  place: z.optional(z.string()),
  framing: z.optional(z.string()),
  light: z.optional(z.string()),
  clothes: z.optional(z.string()),
  minutes: z.optional(z.number().check(z.gte(0), z.lte(600))),
  /** It could be left, where the day is too short. */
  could: z.optional(z.boolean()),
  daylight: z.optional(z.boolean()),
  /** Its sketch or reference, one of the images kept with its episode. */
  picture: z.optional(Id),
  /** Shots that are filmed before it. */
  after: z.optional(z.array(Id)),
  /** The cue right behind which the hand has put it; empty for the first place. */
  behind: z.optional(z.string()),
})
export type ShotPlan = z.infer<typeof ShotPlan>

/**
 * One time that something was filmed, or a section spoken before the camera or microphone: how long, why not kept where
 * it isn't, and in which clip it is, as far as that was typed.
 */
export const Take = z.object({
  id: Id,
  at: Moment,
  seconds: z.number().check(z.gte(0), z.lte(86_400)),
  kept: z.boolean(),
  reason: z.string(),
  clip: z.optional(z.string()),
})
export type Take = z.infer<typeof Take>

/**
 * Something asked for beside a beat. `from` and `to` are the words of the beat's text that it belongs to, as offsets;
 * without them it belongs to the whole beat. `got`: it was filmed, found, made or done.
 */
export const Cue = z.object({
  id: Id,
  kind: CueKind,
  text: z.string(),
  got: z.boolean(),
  from: z.optional(offset),
  to: z.optional(offset),
  /** Where something that was found or heard comes from, and under which licence it may be used. */
  source: z.optional(z.string()),
  licence: z.optional(z.string()),
  place: z.optional(UploadPlace),
  shot: z.optional(ShotPlan),
  takes: z.optional(z.array(Take)),
  /** Where in the recording it was noted, seconds from its start. */
  at: z.optional(z.number().check(z.gte(0), z.lte(86_400))),
})
export type Cue = z.infer<typeof Cue>

export const Delivery = z.enum(['camera', 'voice'])
export type Delivery = z.infer<typeof Delivery>

/** Words of a beat that are said with weight, as offsets into its text. */
export const Emphasis = z.object({ kind: z.enum(['bold', 'italic']), from: offset, to: offset })
export type Emphasis = z.infer<typeof Emphasis>

/** One passage of a script. `hold` is silence or music in seconds after it. */
export const Beat = z.object({
  id: Id,
  delivery: Delivery,
  text: z.string(),
  hold: z.number().check(z.gte(0)),
  cues: z.array(Cue),
  emphasis: z.optional(z.array(Emphasis)),
  promised: z.optional(Promised),
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

/**
 * One section; where it doesn't say how it is spoken, its script does. `serves`: which of the brief's points it makes,
 * 0 for the first.
 */
export const Section = z.object({
  id: Id,
  title: z.string(),
  beats: z.array(Beat),
  serves: z.optional(z.array(offset)),
  takes: z.optional(z.array(Take)),
  ...speech,
})
export type Section = z.infer<typeof Section>

/** How far a script is. */
export const ScriptStand = z.enum(['writing', 'copy-edit', 'ready'])
export type ScriptStand = z.infer<typeof ScriptStand>

/** A script as it stood at a moment, a text a section, to see by section what changed since. */
export const ScriptThen = z.object({
  at: Moment,
  sections: z.array(z.object({ id: Id, title: z.string(), text: z.string() })),
})
export type ScriptThen = z.infer<typeof ScriptThen>

/** An episode's script; its id is the episode's. Where nothing is said it is spoken in full words. */
export const Script = z.object({
  id: Id,
  sections: z.array(Section),
  ...speech,
  /** How what is said to camera is filmed, as one shot among the others, and whether it was got. */
  toCamera: z.optional(
    z.object({ got: z.boolean(), shot: z.optional(ShotPlan), takes: z.optional(z.array(Take)) }),
  ),
  /** Where nothing is said it is being written. */
  stand: z.optional(ScriptStand),
  /** As it stood when it went to copy-edit. */
  then: z.optional(ScriptThen),
  /** Remarks of the copy-edit that were dismissed for good, by their keys. */
  dismissed: z.optional(z.array(z.string())),
  ...stamps,
})
export type Script = z.infer<typeof Script>
