import { type Episode, type Id, type Records } from '../../records'
import { blankEpisode } from '../../records/blank-episode'
import { codeFor } from '../../rhythm/numbering'
import { type Context, momentOf } from '../change'

type Codes = Set<string>

export function codesOf(records: Records): Codes {
  return new Set([...records.episodes.values()].map((e) => e.code))
}

/**
 * A new episode that is only an idea, with a permanent code of its own; `taken` are the codes of the others
 * and gets the new one.
 */
export function newIdea(
  records: Records,
  show: Id,
  line: string,
  context: Context,
  taken: Codes = codesOf(records),
): Episode {
  const id = context.id()
  const at = momentOf(context)
  const code = codeFor(id, taken)
  taken.add(code)
  return blankEpisode({ id, show, code, title: line.trim(), at })
}
