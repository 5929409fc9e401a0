import type { Episode, Records, Show } from '../../records'
import { openSlots, releaseOf } from '../../rhythm/slots'
import { type Change, type Context, momentOf, putRecord } from '../change'
import { todayOf } from '../step-of'

/** Places displaced episodes, in order of release, on the nearest open slots of a changed show. */
export function replaced(
  records: Records,
  show: Show,
  displaced: readonly Episode[],
  context: Context,
): Change[] {
  const rest = [...records.episodes.values()].filter((e) => !displaced.includes(e))
  const open = openSlots(show, rest, context.now, displaced.length)
  return [...displaced]
    .sort((a, b) => (releaseOf(a, show)?.at ?? 0) - (releaseOf(b, show)?.at ?? 0))
    .flatMap((e, i) => {
      const slot = open[i]
      return [
        putRecord(records, 'episodes', {
          ...e,
          place: slot ? { kind: 'slot', day: slot.original } : { kind: 'nothing' },
          placedOn: todayOf(records, context),
          updatedAt: momentOf(context),
        }),
      ]
    })
}
