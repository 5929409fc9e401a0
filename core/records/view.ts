import { z } from 'zod/mini'
import { Id } from './basics'

/**
 * One test of a condition: a field, how it is compared, and with what. Numbers and dates are typed as text
 * too.
 */
export const Test = z.object({
  kind: z.literal('test'),
  field: z.string(),
  how: z.enum(['is', 'not', 'has', 'lacks', 'least', 'most', 'filled', 'empty']),
  value: z.string(),
})
export type Test = z.infer<typeof Test>

/**
 * Conditions joined by all or any, nested as deep as wanted. A group with nothing in it lets everything
 * through.
 */
export interface Group {
  kind: 'group'
  join: 'all' | 'any'
  of: (Test | Group)[]
}
export const Group: z.ZodMiniType<Group> = z.object({
  kind: z.literal('group'),
  join: z.enum(['all', 'any']),
  of: z.array(z.union([Test, z.lazy(() => Group)])),
})

/** A way of looking at episodes, kept under the creator's own name. */
export const View = z.object({
  id: Id,
  name: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'A view needs a name.'),
      z.maxLength(60, 'The name of a view has at most 60 characters.'),
    ),
  layout: z.enum(['list', 'wall']),
  /** Field names shown as columns beside the title, in order. */
  columns: z.array(z.string()),
  sort: z.object({ by: z.string(), down: z.boolean() }),
  group: z.string(),
  where: Group,
  words: z.string(),
})
export type View = z.infer<typeof View>

/** By what the work is grouped in rows. */
export const WorkGroup = z.enum(['stage', 'show', 'form', 'topic', 'month', 'move'])
export type WorkGroup = z.infer<typeof WorkGroup>

/** A way of looking at everything in work: its groups, its order, and which episodes. */
export const WorkView = z.object({
  id: Id,
  name: z
    .string()
    .check(
      z.trim(),
      z.minLength(1, 'A view needs a name.'),
      z.maxLength(60, 'The name of a view has at most 60 characters.'),
    ),
  group: WorkGroup,
  byHand: z.boolean(),
  only: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('all') }),
    z.object({ kind: z.literal('show'), id: Id }),
    z.object({ kind: z.literal('form'), name: z.string() }),
  ]),
})
export type WorkView = z.infer<typeof WorkView>
