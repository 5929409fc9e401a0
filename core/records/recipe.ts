import { z } from 'zod/mini'
import { SpinLine } from './spin-off'
import { Id, Lead, Minutes, Moment, Part, StageKind, StepKind, stamps } from './basics'

/** One stage of a recipe. `after` names the stages that it builds on: a partial order, not a row. */
export const Stage = z.object({
  id: Id,
  kind: StageKind,
  name: z.string().check(z.trim(), z.minLength(1, 'A stage needs a name.')),
  parts: z.array(Part),
  after: z.array(Id),
  /** Parts that must be there before this stage may begin. */
  settled: z.optional(z.array(Part)),
  /**
   * No work of this stage, or of one that builds on it, earlier than so many days before release: news,
   * live.
   */
  earliest: z.optional(z.int().check(z.gte(0), z.lte(365))),
})
export type Stage = z.infer<typeof Stage>

/** Something to look at while doing a step. */
export const Reference = z.object({
  label: z.string(),
  url: z.url('Type a whole address, for example https://example.org/.'),
})
export type Reference = z.infer<typeof Reference>

/** One line of a recipe, from which an episode's step is made. Needs and leads refer to other lines' ids. */
export const RecipeLine = z.object({
  id: Id,
  stage: Id,
  name: z.string().check(z.trim(), z.minLength(1, 'A step needs a name.')),
  kind: StepKind,
  minutes: Minutes,
  lead: Lead,
  needs: z.array(Id),
  required: z.boolean(),
  part: z.optional(Part),
  /** Who does it; the creator where it is left out. */
  owner: z.optional(z.string().check(z.minLength(1))),
  /** What to keep in mind while doing it, and where to look. */
  guidance: z.optional(z.string()),
  references: z.optional(z.array(Reference)),
  /** When the line last changed; what was made from it before may be behind. */
  changedAt: z.optional(Moment),
})
export type RecipeLine = z.infer<typeof RecipeLine>

/** One section that a script of this recipe starts with. */
export const OutlineSection = z.object({
  id: Id,
  title: z.string().check(z.trim(), z.minLength(1, 'A section needs a title.')),
  guidance: z.string(),
})
export type OutlineSection = z.infer<typeof OutlineSection>

/** What is gone through before or while working on a stage, ticked per episode. */
export const Checklist = z.object({
  id: Id,
  stage: Id,
  name: z.string().check(z.trim(), z.minLength(1, 'A checklist needs a name.')),
  items: z.array(
    z.object({
      id: Id,
      text: z.string().check(z.trim(), z.minLength(1, 'An item needs a word.')),
      /** Its stage isn't done while it is open. */
      required: z.optional(z.boolean()),
    }),
  ),
  /** It is gone through at the copy-edit of the script. */
  copyEdit: z.optional(z.boolean()),
})
export type Checklist = z.infer<typeof Checklist>

/** Something that follows by itself when a stage lights or a step is done. Steps are named by their lines. */
export const FollowOn = z.object({
  id: Id,
  when: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('lit'), stage: Id }),
    z.object({ kind: z.literal('done'), line: Id }),
  ]),
  then: z.discriminatedUnion('kind', [
    z.object({
      kind: z.literal('hand'),
      line: Id,
      to: z.string().check(z.trim(), z.minLength(1, 'Say who it is handed to.')),
    }),
    z.object({
      kind: z.literal('add'),
      stage: Id,
      name: z.string().check(z.trim(), z.minLength(1, 'The new step needs a name.')),
      minutes: Minutes,
    }),
    z.object({
      kind: z.literal('wait'),
      line: Id,
      who: z.string().check(z.trim(), z.minLength(1, 'Say who it waits on.')),
      what: z.string(),
    }),
    z.object({ kind: z.literal('folder') }),
    z.object({
      kind: z.literal('note'),
      text: z.string().check(z.trim(), z.minLength(1, 'The note needs a word.')),
    }),
  ]),
})
export type FollowOn = z.infer<typeof FollowOn>

/** What a show does every time. */
export const Recipe = z.object({
  id: Id,
  name: z.string().check(z.trim(), z.minLength(1, 'A recipe needs a name.')),
  stages: z.array(Stage).check(z.minLength(1, 'A recipe needs at least one stage.')),
  lines: z.array(RecipeLine),
  outline: z.array(OutlineSection),
  /** The description's pattern, with parts in braces; see `core/release/description`. */
  pattern: z.string(),
  /** Lines said at the end of every description. */
  call: z.string(),
  /** The offer that its scripts begin with, where it isn't the show's. */
  offer: z.optional(Id),
  /** The folders of an episode; a slash puts one within another. */
  folders: z.array(z.string()),
  /** How an episode's outer folder is named, with {number}, {title}, {code}, {date} and {show}. */
  folderName: z.optional(z.string()),
  /** What is made of every episode besides. */
  spinOffs: z.optional(z.array(SpinLine)),
  checklists: z.optional(z.array(Checklist)),
  follow: z.optional(z.array(FollowOn)),
  ...stamps,
})
export type Recipe = z.infer<typeof Recipe>
