import type { Id, ShotPlan } from '../../records'
import { ok, refused } from '../../result'
import { cameraId } from '../../script/to-camera'
import { type Command, momentOf, putRecord } from '../change'

/**
 * Says how shots are filmed: where, framed and lit how, how long, what they must follow, where the hand has put them.
 * What was said of a shot and is not named stays. The words to camera count as a shot (`cameraId`).
 *
 * Refused:
 * - “This shot is no longer there; another change has taken it away.”
 */
export const planShots: Command<{ episode: Id; shots: readonly Id[]; to: Partial<ShotPlan> }> = (
  records,
  { episode, shots, to },
  context,
) => {
  const script = records.scripts.get(episode)
  const cues = script?.sections.flatMap((s) => s.beats.flatMap((b) => b.cues)) ?? []
  const camera = cameraId(episode)
  if (!script || shots.length === 0 || !shots.every((id) => id === camera || cues.some((c) => c.id === id)))
    return refused('This shot is no longer there; another change has taken it away.', 'scripts.sections')
  const sections = script.sections.map((s) => ({
    ...s,
    beats: s.beats.map((b) => ({
      ...b,
      cues: b.cues.map((c) => (shots.includes(c.id) ? { ...c, shot: { ...c.shot, ...to } } : c)),
    })),
  }))
  const words = { got: false, ...script.toCamera, shot: { ...script.toCamera?.shot, ...to } }
  const toCamera = shots.includes(camera) ? { toCamera: words } : {}
  return ok({
    changes: [
      putRecord(records, 'scripts', { ...script, ...toCamera, sections, updatedAt: momentOf(context) }),
    ],
    sentence: shots.length === 1 ? 'Said how a shot is filmed' : `Said how ${shots.length} shots are filmed`,
    about: [episode],
    merge: `shots ${episode} ${shots.join(' ')}`,
  })
}
