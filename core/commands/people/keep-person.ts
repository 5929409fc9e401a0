import { byName, folded } from '../../partners/names'
import { type Id, Person } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'
import { renamed } from './renamed'

/** What is said of somebody. */
export type PersonFields = Pick<Person, 'name' | 'roles' | 'work' | 'ways' | 'known' | 'zone' | 'note'>

/**
 * Keeps somebody, or what is said of them: `person` is their id where there is one. Under a new name they stand wherever the old one
 * stood, and the old one stands for them; so does `was`, the name by which alone they were known.
 *
 * Refused:
 * - “Somebody needs a name.”, “A name has at most 80 characters.” and what else their fields refuse
 * - “… is there already. Make the two one instead.”
 */
export const keepPerson: Command<{
  person?: Id | undefined
  was?: string | undefined
  fields: PersonFields
}> = (records, { person: id, was, fields }, context) => {
  const at = momentOf(context)
  const known = byName(records.people.values())
  // Somebody known by name alone may have been kept meanwhile, in another tab.
  const old = id === undefined ? known.get(folded(was ?? '')) : records.people.get(id)
  const before = old?.name ?? was
  const isRenamed = before !== undefined && before !== fields.name.trim() && fields.name.trim() !== ''
  const also = new Set([...(old?.also ?? []), ...(isRenamed ? [before] : [])])
  also.delete(fields.name.trim())
  const read = Person.safeParse({
    ...fields,
    id: old?.id ?? id ?? context.id(),
    also: [...also],
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
  })
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'people')
  const person = read.data
  const other = known.get(folded(person.name))
  if (other && other.id !== person.id)
    return refused(`${person.name} is there already. Make the two one instead.`, 'people.name')
  return ok({
    changes: [
      putRecord(records, 'people', person),
      ...(isRenamed ? renamed(records, [before], person.name, at) : []),
    ],
    sentence: old ? `Changed what is said of ${person.name}` : `Kept ${person.name}`,
    about: [],
    merge: `person ${person.id}`,
  })
}

/**
 * Takes away what is kept of somebody. Where their name stands it goes on standing.
 *
 * Refused:
 * - “Nothing is kept of them any more.”
 */
export const dropPerson: Command<{ person: Id }> = (records, { person: id }, _context) => {
  const old = records.people.get(id)
  if (!old) return refused('Nothing is kept of them any more.', 'people')
  return ok({
    changes: [removeRecord(records, 'people', id)],
    sentence: `Took away what was kept of ${old.name}`,
    about: [],
  })
}
