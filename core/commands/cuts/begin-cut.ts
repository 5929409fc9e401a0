import { type Id } from '../../records'
import { ok, refused } from '../../result'
import { cutsOf, openNotes } from '../../edit/rounds'
import { type Command, momentOf, putRecord } from '../change'
import { nameOf, roundId } from './of-cut'

/**
 * Begins to review the next cut of an episode. What the one before still has to do is carried to it with its history, and
 * the round before is closed; the step that asked for it is done. `id` is the new cut's.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “Its last cut is approved. Open that again first, if there is to be another.”
 */
export const beginCut: Command<{
  episode: Id
  id: Id
  from?: string | undefined
  file?: string | undefined
  address?: string | undefined
}> = (records, { episode, id, from, file, address }, context) => {
  if (!records.episodes.has(episode)) return refused('This episode is no longer there.', 'episodes')
  const last = cutsOf(records, episode).at(-1)
  if (last?.closed?.kind === 'approved')
    return refused(
      'Its last cut is approved. Open that again first, if there is to be another.',
      'cuts.closed',
    )
  const at = momentOf(context)
  const number = (last?.number ?? 0) + 1
  const carried = last ? openNotes(last) : []
  const cut = {
    id,
    episode,
    number,
    came: at,
    from: from ?? last?.from ?? '',
    ...(file === undefined ? {} : { file }),
    ...(address === undefined ? {} : { address }),
    notes: carried.map((n) => ({ ...n, asked: [...n.asked, number] })),
    createdAt: at,
    updatedAt: at,
  }
  const before =
    last && !last.closed
      ? [putRecord(records, 'cuts', { ...last, closed: { kind: 'another', at }, updatedAt: at })]
      : []
  // It is made: the step that asked for it is done.
  const round = records.steps.get(roundId(episode, number))
  const done =
    round && round.doneAt === undefined
      ? [putRecord(records, 'steps', { ...round, doneAt: at, updatedAt: at })]
      : []
  return ok({
    changes: [putRecord(records, 'cuts', cut), ...before, ...done],
    sentence: `Began ${nameOf(records, cut)}${carried.length > 0 ? `; ${carried.length} carried to it` : ''}`,
    about: [episode],
  })
}
