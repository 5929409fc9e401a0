import { z } from 'zod/mini'
import { ok, refused, type Result } from '../result'
import { Id } from './basics'
import { recordsFrom, tableNames, tables, type RecordOf, type Records, type TableName } from './registry'

/** One record before and after; absent where it isn't there. A command's whole effect is a list of these. */
export type Change<T extends TableName = TableName> = {
  [K in T]: { table: K; id: Id; before?: RecordOf<K> | undefined; after?: RecordOf<K> | undefined }
}[T]

/** Whether a change is one of a table. */
export function isOf<T extends TableName>(change: { table: TableName }, table: T): change is Change<T> {
  return change.table === table
}

/** The records after some changes; maps of tables that none touches are the same ones. */
export function withChanges(records: Records, changes: readonly Change[]): Records {
  const touched = new Set(changes.map((c) => c.table))
  return recordsFrom(<T extends TableName>(name: T) => {
    const map: ReadonlyMap<string, RecordOf<T>> = records[name]
    if (!touched.has(name)) return map
    const next = new Map(map)
    for (const change of changes) {
      if (!isOf(change, name)) continue
      if (change.after === undefined) next.delete(change.id)
      else next.set(change.id, change.after)
    }
    return next
  })
}

/** The changes that take these back, last first. */
export function inverse(changes: readonly Change[]): Change[] {
  return [...changes].reverse().map((c) => turned(c))
}

/** Those of some changes that undo takes back and redo does again: that a letter came stays, whatever came of it. */
export function reversible(changes: readonly Change[]): Change[] {
  return changes.filter((c) => !tables[c.table].stays)
}

function turned<T extends TableName>(change: Change<T>): Change<T> {
  return { ...change, before: change.after, after: change.before }
}

/**
 * Two lists of changes, one after the other, as one: the first `before` and the last `after` of each
 * record.
 */
export function merged(first: readonly Change[], second: readonly Change[]): Change[] {
  const row = new Map<string, Change>()
  for (const change of [...first, ...second]) {
    const key = `${change.table}/${change.id}`
    const earlier = row.get(key)
    row.set(key, earlier ? spanned(earlier, change) : change)
  }
  return [...row.values()]
}

function spanned<T extends TableName>(earlier: Change, later: Change<T>): Change<T> {
  return isOf(earlier, later.table) ? { ...later, before: earlier.before } : later
}

/**
 * Changes with what would be written as the tables' tables read it: plain data, whatever a screen wrapped
 * it in.
 * Refused with the path to the first fault.
 */
export function checkedChanges(changes: readonly Change[]): Result<Change[]> {
  const out: Change[] = []
  for (const change of changes) {
    const read = cleaned(change)
    if (!read.ok) return read
    out.push(read.value)
  }
  return ok(out)
}

function cleaned<T extends TableName>(change: Change<T>): Result<Change<T>> {
  if (change.after === undefined) return ok(change)
  const parsed = tables[change.table].schema.safeParse(change.after)
  const issue = parsed.error?.issues[0]
  return parsed.success
    ? ok({ ...change, after: parsed.data })
    : refused(
        issue?.message ?? 'This cannot be kept.',
        [change.table, ...(issue?.path ?? []).map(String)].join('.'),
      )
}

const anyChange = z.object({
  table: z.enum(tableNames),
  id: Id,
  before: z.optional(z.unknown()),
  after: z.optional(z.unknown()),
})

/** Whether both records of a change are such as its table holds; what is wrong with them is told. */
function fits(
  change: z.infer<typeof anyChange>,
  tell: (issue: z.core.$ZodIssue, side: string) => void,
): change is Change {
  let right = true
  for (const side of ['before', 'after'] as const) {
    const read = change[side] === undefined ? undefined : tables[change.table].schema.safeParse(change[side])
    for (const issue of read?.error?.issues ?? []) tell(issue, side)
    if (read && !read.success) right = false
  }
  return right
}

/** A change as the journal keeps it. */
export const StoredChange = z.pipe(
  anyChange,
  z.transform((change, context): Change => {
    const isRight = fits(change, (issue, side) => {
      context.issues.push({
        code: 'custom',
        message: issue.message,
        path: [side, ...issue.path],
        input: change,
      })
    })
    return isRight ? change : z.NEVER
  }),
)
