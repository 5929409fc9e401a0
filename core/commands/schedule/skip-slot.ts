import type { Day } from '../../records'
import { type Id } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { slotsTaken } from '../../rhythm/slots'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Skips an open slot once, or takes the skip back. Refused while an episode stands on it.
 *
 * Refused:
 * - “This show is no longer there.”
 * - ““…” stands on it. Move it first, then skip the slot.”
 */
export const skipSlot: Command<{ show: Id; day: Day; skip: boolean }> = (
  records,
  { show: id, day, skip },
  context,
) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const there = slotsTaken(show, records.episodes).get(day)
  if (skip && there)
    return refused(`“${titleOf(there)}” stands on it. Move it first, then skip the slot.`, 'shows.skipped')
  const skipped = skip ? [...new Set([...show.skipped, day])].sort() : show.skipped.filter((d) => d !== day)
  return ok({
    changes: [putRecord(records, 'shows', { ...show, skipped, updatedAt: momentOf(context) })],
    sentence: `${skip ? 'Skipped' : 'Took back the skip of'} ${show.title} on ${sayDay(day)}`,
    about: [],
  })
}
