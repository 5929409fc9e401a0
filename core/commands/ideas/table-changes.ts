import { type Table, type TableChanges, readRows } from '../../formats/tables'
import { fieldsOf } from '../../ideas/fields'
import type { Id, Records } from '../../records'
import type { Context } from '../change'
import { newIdea } from './new-idea'

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
      launches: records.launches,
      number: () => undefined,
    }),
    byCode,
    (title) => newIdea(records, show, title.slice(0, 300), { ...context, now: context.now - n++ }, taken),
  )
}
