import { type Id, StandingWork } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/** Adds work that belongs to no episode, or changes it. Refused without a name. */
export const putStanding: Command<
  { standing?: Id | undefined } & Pick<StandingWork, 'name' | 'kind' | 'minutes' | 'when' | 'at'>
> = (records, { standing: id, name, kind, minutes, when, at: clock }, context) => {
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.standing.get(id)
  const read = StandingWork.safeParse({
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
  return ok({
    changes: [putRecord(records, 'standing', read.data)],
    sentence: `${old ? 'Changed' : 'Added'} “${read.data.name}”`,
    about: [],
  })
}

/**
 * Takes standing work away, all of its times.
 *
 * Refused:
 * - “It is no longer there.”
 */
export const removeStanding: Command<{ standing: Id }> = (records, { standing }, _context) => {
  const old = records.standing.get(standing)
  return old
    ? ok({
        changes: [removeRecord(records, 'standing', standing)],
        sentence: `Removed “${old.name}”`,
        about: [],
      })
    : refused('It is no longer there.', 'standing')
}
