import type { Id, Outlet } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Changes an outlet: its limits, parts, moments, standing lines, and how the program speaks to it.
 *
 * Refused:
 * - “This outlet is no longer there.”
 */
export const editOutlet: Command<{
  outlet: Id
  fields: Partial<Omit<Outlet, 'id' | 'createdAt' | 'updatedAt'>>
}> = (records, { outlet: id, fields }, context) => {
  const outlet = records.outlets.get(id)
  if (!outlet) return refused('This outlet is no longer there.', 'outlets')
  return ok({
    changes: [putRecord(records, 'outlets', { ...outlet, ...fields, updatedAt: momentOf(context) })],
    sentence: `Changed the outlet ${fields.name ?? outlet.name}`,
    about: [],
    merge: `outlet ${id} ${Object.keys(fields).join()}`,
  })
}
