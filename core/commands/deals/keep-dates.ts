import type { Day, Id } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { slotOn } from '../../rhythm/slots'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/**
 * Keeps slots of a deal's show for it, by their original dates. What was kept there for something else is kept no longer.
 *
 * Refused:
 * - “This deal is no longer there.” and “This show is no longer there.”
 * - “Choose at least one date.”
 */
export const keepDates: Command<{ deal: Id; days: readonly Day[] }> = (
  records,
  { deal: id, days },
  context,
) => {
  const deal = records.deals.get(id)
  if (!deal) return refused('This deal is no longer there.', 'deals')
  const show = records.shows.get(deal.show)
  if (!show) return refused('This show is no longer there.', 'shows')
  if (days.length === 0) return refused('Choose at least one date.', 'reservations')
  const at = momentOf(context)
  const chosen = [...new Set(days)]
  const there = [...records.reservations.values()].filter(
    (r) => r.show === show.id && r.kept.kind === 'slot' && chosen.includes(r.kept.day),
  )
  return ok({
    changes: [
      ...there.map((r) => removeRecord(records, 'reservations', r.id)),
      ...chosen.map((day) =>
        putRecord(records, 'reservations', {
          ...{ id: context.id(), show: show.id, name: deal.sponsor, kind: 'sponsor', deal: id, note: '' },
          kept: { kind: 'slot', day },
          ...{ createdAt: at, updatedAt: at },
        }),
      ),
    ],
    sentence: `Kept ${chosen.map((d) => sayDay(slotOn(show, d).day)).join(', ')} for ${deal.sponsor}`,
    about: [],
  })
}
