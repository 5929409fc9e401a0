import { z } from 'zod'
import { Id, Lead, Minutes, Part, StageKind, StepKind, stamps } from './basics'

/** One stage of a recipe. `after` names the stages that it builds on: a partial order, not a row. */
export const Stage = z.object({
  id: Id,
  kind: StageKind,
  name: z.string().trim().min(1, 'A stage needs a name.'),
  parts: z.array(Part),
  after: z.array(Id),
})
export type Stage = z.infer<typeof Stage>

/** One line of a recipe, from which an episode's step is made. Needs and leads refer to other lines' ids. */
export const RecipeLine = z.object({
  id: Id,
  stage: Id,
  name: z.string().trim().min(1, 'A step needs a name.'),
  kind: StepKind,
  minutes: Minutes,
  lead: Lead,
  needs: z.array(Id),
  required: z.boolean(),
  part: Part.optional(),
})
export type RecipeLine = z.infer<typeof RecipeLine>

/** One section that a script of this recipe starts with. */
export const OutlineSection = z.object({ id: Id, title: z.string().trim().min(1, 'A section needs a title.'), guidance: z.string() })
export type OutlineSection = z.infer<typeof OutlineSection>

/** What a show does every time. */
export const Recipe = z.object({
  id: Id,
  name: z.string().trim().min(1, 'A recipe needs a name.'),
  stages: z.array(Stage).min(1, 'A recipe needs at least one stage.'),
  lines: z.array(RecipeLine),
  outline: z.array(OutlineSection),
  /** The description's pattern, with parts in braces; see `core/release/description`. */
  pattern: z.string(),
  /** Lines said at the end of every description. */
  call: z.string(),
  folders: z.array(z.string()),
  ...stamps,
})
export type Recipe = z.infer<typeof Recipe>
