import { byName, folded } from '../../partners/names'
import type { Person, PersonRole, Way } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'
import { renamed } from './renamed'

/** Ways to reach somebody, each once. */
export function waysOnce(ways: readonly Way[]): Way[] {
  return [...new Map([...ways].reverse().map((w) => [`${w.kind} ${folded(w.value)}`, w])).values()].reverse()
}

/**
 * Makes two people one, by their names: what is kept of both is kept of the first, the other's names stand for them, and episodes,
 * deals and slots name the first from now on. Either may have been known by name alone.
 *
 * Refused:
 * - “Name two people, to make them one.”
 * - “They are one already.”
 */
export const mergePeople: Command<{ keep: string; other: string }> = (records, { keep, other }, context) => {
  if (folded(keep) === '' || folded(other) === '')
    return refused('Name two people, to make them one.', 'people')
  const known = byName(records.people.values())
  const [a, b] = [known.get(folded(keep)), known.get(folded(other))]
  if (folded(keep) === folded(other) || (a && b && a.id === b.id))
    return refused('They are one already.', 'people')
  const at = momentOf(context)
  const name = a?.name ?? keep.trim()
  const also = new Set([...(a?.also ?? []), other.trim(), ...(b ? [b.name, ...b.also] : [])])
  also.delete(name)
  const roles = new Set<PersonRole>([...(a?.roles ?? []), ...(b?.roles ?? [])])
  const zone = a?.zone ?? b?.zone
  const person: Person = {
    id: a?.id ?? context.id(),
    name,
    also: [...also],
    roles: [...roles],
    work: a?.work || b?.work || '',
    ways: waysOnce([...(a?.ways ?? []), ...(b?.ways ?? [])]),
    known: a?.known || b?.known || '',
    ...(zone === undefined ? {} : { zone }),
    note: [a?.note, b?.note].filter((n) => n !== undefined && n.trim() !== '').join('\n\n'),
    createdAt: a?.createdAt ?? at,
    updatedAt: at,
  }
  return ok({
    changes: [
      putRecord(records, 'people', person),
      ...(b ? [removeRecord(records, 'people', b.id)] : []),
      ...renamed(records, [...also], name, at),
    ],
    sentence: `${other.trim()} and ${name} are one`,
    about: [],
  })
}
