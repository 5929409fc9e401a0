import { isWith } from '../../partners/deal-of'
import { Deal, type Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/** What is agreed on in a deal. */
export type DealFields = Omit<Deal, 'id' | 'noted' | 'createdAt' | 'updatedAt'>

/**
 * Keeps a deal, or changes what was agreed: `deal` is its id where there is one. Slots that were kept under its sponsor's name are kept
 * for it from then on.
 *
 * Refused:
 * - “This show is no longer there.”
 * - “Say with whom it was agreed.”, “The deal ends before it begins. …” and what else its fields refuse
 */
export const keepDeal: Command<{ deal?: Id | undefined; fields: DealFields }> = (
  records,
  { deal: id, fields },
  context,
) => {
  if (!records.shows.has(fields.show)) return refused('This show is no longer there.', 'deals.show')
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.deals.get(id)
  const said: [string, unknown][] = Object.entries(fields)
  const read = Deal.safeParse({
    ...Object.fromEntries(said.filter(([, value]) => value !== undefined)),
    id: old?.id ?? id ?? context.id(),
    noted: old?.noted ?? {},
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
  })
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'deals')
  const deal = read.data
  const kept = [...records.reservations.values()].filter(
    (r) => r.kind === 'sponsor' && r.deal === undefined && r.show === deal.show && isWith(deal, r.name),
  )
  return ok({
    changes: [
      putRecord(records, 'deals', deal),
      ...kept.map((r) => putRecord(records, 'reservations', { ...r, deal: deal.id, updatedAt: at })),
    ],
    sentence: `${old ? 'Changed' : 'Kept'} the deal with ${deal.sponsor}`,
    about: [],
    merge: `deal ${deal.id}`,
  })
}

/**
 * Lets a deal go. Its reads stay where they are, and so do slots that are kept, under its sponsor's name.
 *
 * Refused:
 * - “This deal is no longer there.”
 */
export const dropDeal: Command<{ deal: Id }> = (records, { deal: id }, context) => {
  const old = records.deals.get(id)
  if (!old) return refused('This deal is no longer there.', 'deals')
  const at = momentOf(context)
  const kept = [...records.reservations.values()].filter((r) => r.deal === id)
  return ok({
    changes: [
      removeRecord(records, 'deals', id),
      ...kept.map(({ deal: _gone, ...r }) => putRecord(records, 'reservations', { ...r, updatedAt: at })),
    ],
    sentence: `Let the deal with ${old.sponsor} go`,
    about: [],
  })
}
