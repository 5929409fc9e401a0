import { type Id, Offer } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/**
 * Keeps an offer, or changes what is said of it: `offer` is its id where there is one. What scripts have used of it stays
 * in them, also when a wording goes.
 *
 * Refused:
 * - “An offer needs a name.”, “At most 60 characters.” or “A wording needs words.”
 * - “This show is no longer there.”
 */
export const keepOffer: Command<
  { offer?: Id | undefined } & Pick<Offer, 'name' | 'address' | 'wordings' | 'shows'> &
    Partial<Pick<Offer, 'file' | 'taken'>>
> = (records, { offer: id, name, address, wordings, shows, file, taken }, context) => {
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.offers.get(id)
  if (shows.some((s) => !records.shows.has(s)))
    return refused('This show is no longer there.', 'offers.shows')
  const read = Offer.safeParse({
    id: id ?? context.id(),
    name,
    address: address.trim(),
    wordings,
    shows,
    ...(file === undefined || file.name.trim() === '' ? {} : { file }),
    ...(taken === undefined || taken.length === 0 ? {} : { taken }),
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
  })
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'offers')
  return ok({
    changes: [putRecord(records, 'offers', read.data)],
    sentence: `${old ? 'Changed' : 'Kept'} the offer “${read.data.name}”`,
    about: [],
    merge: `offer ${read.data.id}`,
  })
}

/**
 * Lets an offer go. Its words stay in the scripts that say them.
 *
 * Refused:
 * - “This offer is no longer there.”
 */
export const dropOffer: Command<{ offer: Id }> = (records, { offer }, _context) => {
  const old = records.offers.get(offer)
  if (!old) return refused('This offer is no longer there.', 'offers')
  return ok({
    changes: [removeRecord(records, 'offers', offer)],
    sentence: `Let the offer “${old.name}” go`,
    about: [],
  })
}
