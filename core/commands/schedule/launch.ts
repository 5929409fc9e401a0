import { type Id, Launch } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/** Adds a launch, or changes one. Refused when it ends before it begins. */
export const putLaunch: Command<
  { launch?: Id | undefined } & Pick<Launch, 'name' | 'from' | 'to' | 'runUp' | 'wanted' | 'note'> &
    Partial<Pick<Launch, 'around' | 'cost' | 'earned'>>
> = (records, { launch: id, ...fields }, context) => {
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.launches.get(id)
  const read = Launch.safeParse({
    id: old?.id ?? context.id(),
    episodes: old?.episodes ?? [],
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
    ...fields,
  })
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'launches')
  return ok({
    changes: [putRecord(records, 'launches', read.data)],
    sentence: `${old ? 'Changed' : 'Added'} the launch “${read.data.name}”`,
    about: [],
  })
}

/**
 * Takes a launch away; slots kept for it are kept no longer, its campaigns go on by themselves.
 *
 * Refused:
 * - “This launch is no longer there.”
 */
export const removeLaunch: Command<{ launch: Id }> = (records, { launch: id }, _context) => {
  const old = records.launches.get(id)
  if (!old) return refused('This launch is no longer there.', 'launches')
  const kept = [...records.reservations.values()].filter((r) => r.launch === id)
  return ok({
    changes: [
      removeRecord(records, 'launches', id),
      ...kept.map((r) => removeRecord(records, 'reservations', r.id)),
      ...[...records.campaigns.values()]
        .filter((c) => c.launch === id)
        .map(({ launch: _gone, ...c }) => putRecord(records, 'campaigns', c)),
    ],
    sentence: `Removed the launch “${old.name}”`,
    about: [],
  })
}
