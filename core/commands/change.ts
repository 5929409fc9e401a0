import type { ZodType } from 'zod'
import {
  schemas,
  tableNames,
  type Change,
  type Id,
  type RecordOf,
  type Records,
  type TableName,
} from '../model'
import { fine, refused, type Result } from '../result'

export type { Change }

/** A file's bytes beside the records. Written once under its id, never changed. */
export interface FileRecord {
  id: Id
  type: string
  bytes: Uint8Array
}

/** What a command hands to the write path. */
export interface Done {
  changes: Change[]
  /** What was done, as a line of history and in the undo toast: `Put #44 on Thu 10 Dec`. */
  sentence: string
  /** The episodes in whose history it stands. */
  about: Id[]
  /** Changes with the same key that follow each other become one step of undo (typing in one field). */
  merge?: string
  files?: FileRecord[]
  /** Its line in the journal, once it is stored. */
  line?: number | undefined
}

/** What the caller lends a command: the moment, and new ids. */
export interface Context {
  /** ms since 1970. */
  now: number
  id: () => Id
}

/** A change to the records as a pure function; refused with a sentence, leaving everything as it was. */
export type Command<Wish> = (records: Records, wish: Wish, context: Context) => Result<Done>

/** The moment of a context as records keep it. */
export function momentOf(context: Pick<Context, 'now'>): string {
  return new Date(context.now).toISOString()
}

function get<T extends TableName>(records: Records, table: T, id: Id): RecordOf<T> | undefined {
  const map: ReadonlyMap<string, RecordOf<T>> = records[table]
  return map.get(id)
}

/** The change that puts a record, with what stood there before. */
export function putting<T extends TableName>(
  records: Records,
  table: T,
  after: RecordOf<T> & { id: Id },
): { table: T; id: Id; before: RecordOf<T> | undefined; after: RecordOf<T> } {
  return { table, id: after.id, before: get(records, table, after.id), after }
}

/** The change that takes a record away. */
export function removing<T extends TableName>(
  records: Records,
  table: T,
  id: Id,
): { table: T; id: Id; before: RecordOf<T> | undefined; after: undefined } {
  return { table, id, before: get(records, table, id), after: undefined }
}

/** The records after some changes; maps of tables that none touches are the same ones. */
export function applied(records: Records, changes: readonly Change[]): Records {
  const next = { ...records }
  for (const name of tableNames) {
    const mine = changes.filter((c) => c.table === name)
    if (mine.length > 0) rebuild(next, name, mine)
  }
  return next
}

function rebuild(
  next: { -readonly [T in TableName]: Records[T] },
  name: TableName,
  changes: readonly Change[],
): void {
  switch (name) {
    case 'shows':
      next.shows = changed(
        next.shows,
        changes.flatMap((c) => (c.table === 'shows' ? [c] : [])),
      )
      return
    case 'outlets':
      next.outlets = changed(
        next.outlets,
        changes.flatMap((c) => (c.table === 'outlets' ? [c] : [])),
      )
      return
    case 'recipes':
      next.recipes = changed(
        next.recipes,
        changes.flatMap((c) => (c.table === 'recipes' ? [c] : [])),
      )
      return
    case 'episodes':
      next.episodes = changed(
        next.episodes,
        changes.flatMap((c) => (c.table === 'episodes' ? [c] : [])),
      )
      return
    case 'steps':
      next.steps = changed(
        next.steps,
        changes.flatMap((c) => (c.table === 'steps' ? [c] : [])),
      )
      return
    case 'scripts':
      next.scripts = changed(
        next.scripts,
        changes.flatMap((c) => (c.table === 'scripts' ? [c] : [])),
      )
      return
    case 'keywords':
      next.keywords = changed(
        next.keywords,
        changes.flatMap((c) => (c.table === 'keywords' ? [c] : [])),
      )
      return
    case 'settings':
      next.settings = changed(
        next.settings,
        changes.flatMap((c) => (c.table === 'settings' ? [c] : [])),
      )
      return
    case 'standing':
      next.standing = changed(
        next.standing,
        changes.flatMap((c) => (c.table === 'standing' ? [c] : [])),
      )
      return
    case 'busy':
      next.busy = changed(
        next.busy,
        changes.flatMap((c) => (c.table === 'busy' ? [c] : [])),
      )
      return
    case 'reservations':
      next.reservations = changed(
        next.reservations,
        changes.flatMap((c) => (c.table === 'reservations' ? [c] : [])),
      )
      return
    case 'launches':
      next.launches = changed(
        next.launches,
        changes.flatMap((c) => (c.table === 'launches' ? [c] : [])),
      )
      return
  }
}

function changed<R>(
  map: ReadonlyMap<string, R>,
  changes: readonly { id: Id; after?: R | undefined }[],
): ReadonlyMap<string, R> {
  const next = new Map(map)
  for (const { id, after } of changes) {
    if (after === undefined) next.delete(id)
    else next.set(id, after)
  }
  return next
}

/** The changes that take these back, last first. */
export function inverse(changes: readonly Change[]): Change[] {
  return [...changes].reverse().map((c) => turned(c))
}

function turned(c: Change): Change {
  switch (c.table) {
    case 'shows':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'outlets':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'recipes':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'episodes':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'steps':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'scripts':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'keywords':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'settings':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'standing':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'busy':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'reservations':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
    case 'launches':
      return { table: c.table, id: c.id, before: c.after, after: c.before }
  }
}

/**
 * Checks every record that would be written against its schema, so that nothing false is stored, and hands
 * on what the schema read: plain data, whatever a screen wrapped it in. Refused with the path to the first
 * fault.
 */
export function checked(done: Done): Result<Done> {
  const changes: Change[] = []
  for (const change of done.changes) {
    const read = cleaned(change)
    if (!read.ok) return read
    changes.push(read.value)
  }
  return fine({ ...done, changes })
}

function cleaned(change: Change): Result<Change> {
  switch (change.table) {
    case 'shows':
      return read(schemas.shows, change)
    case 'outlets':
      return read(schemas.outlets, change)
    case 'recipes':
      return read(schemas.recipes, change)
    case 'episodes':
      return read(schemas.episodes, change)
    case 'steps':
      return read(schemas.steps, change)
    case 'scripts':
      return read(schemas.scripts, change)
    case 'keywords':
      return read(schemas.keywords, change)
    case 'settings':
      return read(schemas.settings, change)
    case 'standing':
      return read(schemas.standing, change)
    case 'busy':
      return read(schemas.busy, change)
    case 'reservations':
      return read(schemas.reservations, change)
    case 'launches':
      return read(schemas.launches, change)
  }
}

function read<R, C extends { table: TableName; after?: R | undefined }>(
  schema: ZodType<R>,
  change: C,
): Result<C> {
  if (change.after === undefined) return fine(change)
  const parsed = schema.safeParse(change.after)
  const issue = parsed.error?.issues[0]
  return parsed.success
    ? fine({ ...change, after: parsed.data })
    : refused(
        issue?.message ?? 'This cannot be kept.',
        [change.table, ...(issue?.path ?? []).map(String)].join('.'),
      )
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

function spanned(earlier: Change, later: Change): Change {
  if (earlier.table === 'shows' && later.table === 'shows') return { ...later, before: earlier.before }
  if (earlier.table === 'outlets' && later.table === 'outlets') return { ...later, before: earlier.before }
  if (earlier.table === 'recipes' && later.table === 'recipes') return { ...later, before: earlier.before }
  if (earlier.table === 'episodes' && later.table === 'episodes') return { ...later, before: earlier.before }
  if (earlier.table === 'steps' && later.table === 'steps') return { ...later, before: earlier.before }
  if (earlier.table === 'scripts' && later.table === 'scripts') return { ...later, before: earlier.before }
  if (earlier.table === 'keywords' && later.table === 'keywords') return { ...later, before: earlier.before }
  if (earlier.table === 'settings' && later.table === 'settings') return { ...later, before: earlier.before }
  if (earlier.table === 'standing' && later.table === 'standing') return { ...later, before: earlier.before }
  if (earlier.table === 'busy' && later.table === 'busy') return { ...later, before: earlier.before }
  if (earlier.table === 'reservations' && later.table === 'reservations')
    return { ...later, before: earlier.before }
  if (earlier.table === 'launches' && later.table === 'launches') return { ...later, before: earlier.before }
  return later
}
