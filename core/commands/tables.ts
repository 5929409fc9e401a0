import { readRows, type Table, type TableChanges } from '../formats/tables'
import { fieldsOf } from '../ideas/fields'
import type { Id, Records } from '../records'
import { fine, refused } from '../result'
import { momentOf, putting, type Command, type Context } from './change'
import { newIdea } from './ideas'

/** What a table would change: rows with a code change their episode, those without become ideas of `show`. */
export function tableChanges(records: Records, table: Table, show: Id, context: Context): TableChanges {
  const taken = new Set<string>()
  const byCode = new Map([...records.episodes.values()].map((e) => [e.code, e]))
  for (const code of byCode.keys()) taken.add(code)
  let n = 0
  return readRows(
    table,
    fieldsOf({
      shows: records.shows,
      recipes: records.recipes,
      keywords: records.keywords,
      number: () => undefined,
    }),
    byCode,
    (title) => newIdea(records, show, title.slice(0, 300), { ...context, now: context.now - n++ }, taken),
  )
}

/** Takes a table in, its good rows alone, as one step of undo. Refused when it changes nothing. */
export const takeTable: Command<{ table: Table; show: Id }> = (records, { table, show }, context) => {
  if (!records.shows.has(show))
    return refused('This show is no longer there. Choose another one.', 'episodes.show')
  const { changed, fresh } = tableChanges(records, table, show, context)
  if (changed.length + fresh.length === 0)
    return refused('Nothing in the table differs from what is here.', 'file')
  const at = momentOf(context)
  const all = [...changed.map((c) => ({ ...c.after, updatedAt: at })), ...fresh.map((f) => f.after)]
  return fine({
    changes: all.map((e) => putting(records, 'episodes', e)),
    sentence: `Took in a table: ${changed.length} changed, ${fresh.length} new`,
    about: all.map((e) => e.id),
  })
}
