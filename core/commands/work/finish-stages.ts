import type { Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepsOf } from '../of-episode'
import { timed } from './logged'

/**
 * Ticks all open steps of some stages done, or takes the ticks of theirs back, as one step of undo. Refused
 * when nothing would change.
 *
 * Refused:
 * - “No step is open there; what is missing are parts.”
 * - “No step is done there that could be opened again.”
 */
export const finishStages: Command<{ episode: Id; stages: Id[]; done: boolean }> = (
  records,
  { episode, stages, done },
  context,
) => {
  const mine = stepsOf(records, episode).filter(
    (s) => stages.includes(s.stage) && (s.doneAt === undefined) === done,
  )
  const running = done ? mine.map((s) => timed(records, s, context)) : []
  if (mine.length === 0)
    return refused(
      done
        ? 'No step is open there; what is missing are parts.'
        : 'No step is done there that could be opened again.',
      'steps',
    )
  const at = momentOf(context)
  return ok({
    changes: [
      ...mine.map((s, i) =>
        putRecord(records, 'steps', {
          ...(running[i]?.step ?? s),
          doneAt: done ? at : undefined,
          waiting: done ? undefined : s.waiting,
          updatedAt: at,
        }),
      ),
      ...running.flatMap((r) => r.stopped),
    ],
    sentence: `${done ? 'Finished' : 'Opened again'}: ${mine.map((s) => s.name).join(', ')}`,
    about: [episode],
  })
}
