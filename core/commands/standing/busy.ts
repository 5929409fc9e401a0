import type { Busy, Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/**
 * Takes busy time that was read from a calendar: what came before under the same identity is updated; times
 * of the same events that are no longer there go.
 *
 * Refused:
 * - “All of it is there already; nothing changed.”
 */
export const takeBusy: Command<{
  events: Pick<Busy, 'uid' | 'name' | 'day' | 'minutes' | 'at'>[]
  uids: string[]
}> = (records, { events, uids }, context) => {
  const at = momentOf(context)
  const wanted = new Map(events.map((e) => [`${e.uid} ${e.day}${e.at === undefined ? '' : ` ${e.at}`}`, e]))
  const known = new Set(uids)
  const gone = [...records.busy.values()].filter((b) => known.has(b.uid) && !wanted.has(b.id))
  const changes = [...wanted].flatMap(([id, e]) => {
    const old = records.busy.get(id)
    return old && old.minutes === e.minutes && old.name === e.name
      ? []
      : [putRecord(records, 'busy', { id, ...e, createdAt: old?.createdAt ?? at, updatedAt: at })]
  })
  if (changes.length === 0 && gone.length === 0)
    return refused('All of it is there already; nothing changed.', 'busy')
  return ok({
    changes: [...changes, ...gone.map((b) => removeRecord(records, 'busy', b.id))],
    sentence: `Took ${wanted.size} busy ${wanted.size === 1 ? 'time' : 'times'} from a calendar`,
    about: [],
  })
}

/**
 * Gives busy time back to the day's hours: one time, or all of it.
 *
 * Refused:
 * - “No busy time is kept.”
 */
export const dropBusy: Command<{ busy?: Id | undefined }> = (records, { busy }, _context) => {
  const mine = [...records.busy.values()].filter((b) => busy === undefined || b.id === busy)
  if (mine.length === 0) return refused('No busy time is kept.', 'busy')
  return ok({
    changes: mine.map((b) => removeRecord(records, 'busy', b.id)),
    sentence:
      mine.length === 1
        ? `“${mine[0]?.name ?? ''}” takes no time any more`
        : `Dropped ${mine.length} busy times`,
    about: [],
  })
}
