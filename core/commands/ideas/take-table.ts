import type { Table } from '../../formats/tables'
import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { tableChanges } from './table-changes'

/**
 * Takes a table in, its good rows alone, as one step of undo. Refused when it changes nothing.
 *
 * Refused:
 * - “This show is no longer there. Choose another one.”
 * - “Nothing in the table differs from what is here.”
 */
export const takeTable: Command<{ table: Table; show: Id }> = (records, { table, show }, context) => {
  if (!records.shows.has(show))
    return refused('This show is no longer there. Choose another one.', 'episodes.show')
  const { changed, fresh } = tableChanges(records, table, show, context)
  if (changed.length + fresh.length === 0)
    return refused('Nothing in the table differs from what is here.', 'file')
  const at = momentOf(context)
  const all = [...changed.map((c) => ({ ...c.after, updatedAt: at })), ...fresh.map((f) => f.after)]
  return ok({
    changes: all.map((e) => putRecord(records, 'episodes', e)),
    sentence: `Took in a table: ${changed.length} changed, ${fresh.length} new`,
    about: all.map((e) => e.id),
  })
}
