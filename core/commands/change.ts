import { checkedChanges, type Change, type Id, type RecordOf, type Records, type TableName } from '../records'
import { ok, type Result } from '../result'

export { withChanges, inverse, merged, reversible } from '../records'
export type { Change }

/** A file's bytes beside the records. Written once under its id, never changed. */
export interface FileRecord {
  id: Id
  type: string
  bytes: Uint8Array
}

/** What a command hands to the write path. */
export interface Outcome {
  changes: Change[]
  /** What was done, as a line of history and in the undo toast: `Put #44 on Thu 10 Dec`. */
  sentence: string
  /** The episodes in whose history it stands. */
  about: Id[]
  /** Changes with the same key that follow each other become one step of undo (typing in one field). */
  merge?: string
  /** The steps that ended by it, with the minutes that were counted: said also of what is done quietly. */
  lit?: string
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
export type Command<Wish> = (records: Records, wish: Wish, context: Context) => Result<Outcome>

/** The moment of a context as records keep it. */
export function momentOf(context: Pick<Context, 'now'>): string {
  return new Date(context.now).toISOString()
}

function get<T extends TableName>(records: Records, table: T, id: Id): RecordOf<T> | undefined {
  const map: ReadonlyMap<string, RecordOf<T>> = records[table]
  return map.get(id)
}

/** The change that puts a record, with what stood there before. */
export function putRecord<T extends TableName>(
  records: Records,
  table: T,
  after: RecordOf<T> & { id: Id },
): { table: T; id: Id; before: RecordOf<T> | undefined; after: RecordOf<T> } {
  return { table, id: after.id, before: get(records, table, after.id), after }
}

/** The change that takes a record away. */
export function removeRecord<T extends TableName>(
  records: Records,
  table: T,
  id: Id,
): { table: T; id: Id; before: RecordOf<T> | undefined; after: undefined } {
  return { table, id, before: get(records, table, id), after: undefined }
}

/** The command's changes checked by the tables' tables, so that nothing false is stored. */
export function checked(done: Outcome): Result<Outcome> {
  const changes = checkedChanges(done.changes)
  return changes.ok ? ok({ ...done, changes: changes.value }) : changes
}
