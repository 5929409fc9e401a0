import { type Id, type Show, Show as ShowSchema } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Changes what a show says of itself, its rhythm apart.
 *
 * Refused:
 * - “This show is no longer there.”
 */
export const editShow: Command<{
  show: Id
  fields: Partial<
    Pick<
      Show,
      | 'title'
      | 'prefix'
      | 'nextNumber'
      | 'aim'
      | 'pace'
      | 'readyAhead'
      | 'readyMost'
      | 'zone'
      | 'notes'
      | 'topics'
      | 'fields'
      | 'forms'
      | 'frames'
      | 'changeMinutes'
      | 'proof'
      | 'lettering'
      | 'offer'
    >
  >
}> = (records, { show: id, fields }, context) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const read = ShowSchema.safeParse({ ...show, ...fields })
  if (!read.success)
    return refused(read.error.issues[0]?.message ?? '', `shows.${read.error.issues[0]?.path.join('.') ?? ''}`)
  return ok({
    changes: [putRecord(records, 'shows', { ...read.data, updatedAt: momentOf(context) })],
    sentence: `Changed the show ${read.data.title}`,
    about: [],
    merge: `show ${id} ${Object.keys(fields).join()}`,
  })
}
