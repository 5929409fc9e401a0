import { Standing, type Busy, type Day, type Id } from '../records'
import { fine, refused } from '../result'
import { sayDay } from '../rhythm/days'
import { momentOf, putting, removing, type Command } from './change'

/** Adds work that belongs to no episode, or changes it. Refused without a name. */
export const putStanding: Command<
  { standing?: Id | undefined } & Pick<Standing, 'name' | 'kind' | 'minutes' | 'when' | 'at'>
> = (records, { standing: id, name, kind, minutes, when, at: clock }, context) => {
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.standing.get(id)
  const read = Standing.safeParse({
    id: old?.id ?? context.id(),
    name,
    kind,
    minutes,
    when,
    ...(clock === undefined ? {} : { at: clock }),
    skipped: old?.skipped ?? [],
    done: old?.done ?? [],
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
  })
  if (!read.success)
    return refused(
      read.error.issues[0]?.message ?? 'This cannot be kept.',
      `standing.${String(read.error.issues[0]?.path[0] ?? '')}`,
    )
  return fine({
    changes: [putting(records, 'standing', read.data)],
    sentence: `${old ? 'Changed' : 'Added'} “${read.data.name}”`,
    about: [],
  })
}

/** Takes standing work away, all of its times. */
export const removeStanding: Command<{ standing: Id }> = (records, { standing }, _context) => {
  const old = records.standing.get(standing)
  return old
    ? fine({
        changes: [removing(records, 'standing', standing)],
        sentence: `Removed “${old.name}”`,
        about: [],
      })
    : refused('It is no longer there.', 'standing')
}

/** Marks one time of standing work: skipped this once, done, or to do again. */
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
  return fine({
    changes: [putting(records, 'standing', next)],
    sentence:
      as === 'skipped'
        ? `Skipped “${old.name}” on ${sayDay(day)}`
        : as === 'done'
          ? `Done: ${old.name}, ${sayDay(day)}`
          : `“${old.name}” is to do again on ${sayDay(day)}`,
    about: [],
  })
}

/**
 * Takes busy time that was read from a calendar: what came before under the same identity is updated; times
 * of the same events that are no longer there go.
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
      : [putting(records, 'busy', { id, ...e, createdAt: old?.createdAt ?? at, updatedAt: at })]
  })
  if (changes.length === 0 && gone.length === 0)
    return refused('All of it is there already; nothing changed.', 'busy')
  return fine({
    changes: [...changes, ...gone.map((b) => removing(records, 'busy', b.id))],
    sentence: `Took ${wanted.size} busy ${wanted.size === 1 ? 'time' : 'times'} from a calendar`,
    about: [],
  })
}

/** Gives busy time back to the day's hours: one time, or all of it. */
export const dropBusy: Command<{ busy?: Id | undefined }> = (records, { busy }, _context) => {
  const mine = [...records.busy.values()].filter((b) => busy === undefined || b.id === busy)
  if (mine.length === 0) return refused('No busy time is kept.', 'busy')
  return fine({
    changes: mine.map((b) => removing(records, 'busy', b.id)),
    sentence:
      mine.length === 1
        ? `“${mine[0]?.name ?? ''}” takes no time any more`
        : `Dropped ${mine.length} busy times`,
    about: [],
  })
}
