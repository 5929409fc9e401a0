import type { Day, Id } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Marks one time of standing work: skipped this once, done, or to do again.
 *
 * Refused:
 * - “It is no longer there.”
 */
export const markStanding: Command<{ standing: Id; day: Day; as: 'skipped' | 'done' | 'to do' }> = (
  records,
  { standing, day, as },
  context,
) => {
  const old = records.standing.get(standing)
  if (!old) return refused('It is no longer there.', 'standing')
  const without = (days: readonly Day[]) => days.filter((d) => d !== day)
  const next = {
    ...old,
    skipped: as === 'skipped' ? [...without(old.skipped), day].sort() : without(old.skipped),
    done: as === 'done' ? [...without(old.done), day].sort() : without(old.done),
    updatedAt: momentOf(context),
  }
  return ok({
    changes: [putRecord(records, 'standing', next)],
    sentence:
      as === 'skipped'
        ? `Skipped “${old.name}” on ${sayDay(day)}`
        : as === 'done'
          ? `Done: ${old.name}, ${sayDay(day)}`
          : `“${old.name}” is to do again on ${sayDay(day)}`,
    about: [],
  })
}
