import type { Id, Take } from '../../records'
import { ok, refused } from '../../result'
import { cameraId } from '../../script/to-camera'
import { type Command, momentOf, putRecord } from '../change'
import { shotTurned } from '../sessions/in-hand'
import { cuesIn } from './write-script'

/**
 * Says in which clip, or on which card, the take of a shot is that was kept; empty says nothing of it. A shot that was
 * ticked without a take gets one.
 *
 * Refused:
 * - “This shot is no longer there; another change has taken it away.”
 */
export const nameClip: Command<{ episode: Id; item: Id; clip: string }> = (
  records,
  { episode, item, clip },
  context,
) => {
  const script = records.scripts.get(episode)
  if (!script || (item !== cameraId(episode) && !cuesIn(script.sections).some((c) => c.id === item)))
    return refused('This shot is no longer there; another change has taken it away.', 'scripts.sections')
  const at = momentOf(context)
  const name = clip.trim()
  const written = (take: Take): Take => {
    const { clip: _old, ...rest } = take
    return name === '' ? rest : { ...rest, clip: name }
  }
  const after = shotTurned(script, item, ({ got, takes = [] }) => {
    const last = takes.findLastIndex((t) => t.kept)
    const fresh: Take = { id: context.id(), at, seconds: 0, kept: true, reason: '' }
    return {
      got,
      takes:
        last < 0
          ? name === ''
            ? takes
            : [...takes, written(fresh)]
          : takes.map((t, i) => (i === last ? written(t) : t)),
    }
  })
  return ok({
    changes: [putRecord(records, 'scripts', { ...after, updatedAt: at })],
    sentence: name === '' ? 'Took a clip’s name away' : `Its clip is ${name}`,
    about: [episode],
    merge: `clip ${episode} ${item}`,
  })
}
