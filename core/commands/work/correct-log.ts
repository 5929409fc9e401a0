import { workedByDay } from '../../plan/worked'
import type { Day, Id } from '../../records'
import { ok, refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import { type Command, momentOf, putRecord } from '../change'
import { stepOf, todayOf, zoneOf } from '../step-of'
import { most } from './logged'

/**
 * Corrects what was worked on a step, done or not: on one day, or in all, what is more or less then going
 * to the last day that has any (today where none has). Refused for more than a hundred hours.
 *
 * Refused:
 * - “A step has at most … hours. Type its minutes.”
 * - and what `stepOf` refuses
 */
export const correctLog: Command<{ step: Id; minutes: number; day?: Day | undefined }> = (
  records,
  { step: id, minutes, day },
  context,
) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const step = read.value
  const wanted = Math.max(0, Math.round(minutes))
  if (!Number.isFinite(wanted) || wanted > most)
    return refused(`A step has at most ${most / 60} hours. Type its minutes.`, 'steps.logged')
  const worked = Object.fromEntries(workedByDay(step, zoneOf(records)))
  const known = Object.values(worked).reduce((a, b) => a + b, 0)
  if (day !== undefined) worked[day] = wanted
  else {
    const days = Object.keys(worked).sort()
    let more = wanted - Math.max(known, step.logged)
    const last = days.at(-1) ?? todayOf(records, context)
    if (more >= 0) worked[last] = (worked[last] ?? 0) + more
    for (const d of days.reverse()) {
      if (more >= 0) break
      const less = Math.min(worked[d] ?? 0, -more)
      worked[d] = (worked[d] ?? 0) - less
      more += less
    }
  }
  const kept = Object.fromEntries(Object.entries(worked).filter(([, m]) => m > 0))
  const before = Math.max(0, step.logged - known)
  const logged = day === undefined ? wanted : before + Object.values(kept).reduce((a, b) => a + b, 0)
  return ok({
    changes: [
      putRecord(records, 'steps', {
        ...step,
        logged: Math.min(most, logged),
        worked: kept,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `${step.name}: ${wanted} min worked${day === undefined ? '' : ` on ${sayDay(day)}`}`,
    about: [step.episode],
    merge: `log ${id} ${day ?? ''}`,
  })
}
