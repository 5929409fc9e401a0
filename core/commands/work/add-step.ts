import { leadThrough } from '../../recipe/edit'
import type { Id, Step } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'
import { stepsOf } from '../of-episode'

/**
 * Adds a step of the episode's own to a stage, due with the release unless said otherwise.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const addStep: Command<{ episode: Id; stage: Id; name: string; minutes: number }> = (
  records,
  { episode, stage, name, minutes },
  context,
) => {
  if (!records.episodes.has(episode)) return refused('This episode is no longer there.', 'episodes')
  const at = momentOf(context)
  const order = Math.max(0, ...stepsOf(records, episode).map((s) => s.order + 1))
  const step: Step = {
    id: `${episode}/${context.id()}`,
    episode,
    stage,
    name,
    kind: 'admin',
    minutes,
    logged: 0,
    lead: { kind: 'before', days: 1 },
    needs: [],
    owner: 'me',
    required: true,
    blocks: [],
    order,
    createdAt: at,
    updatedAt: at,
  }
  return ok({
    changes: [putRecord(records, 'steps', step)],
    sentence: `Added the step “${name}”`,
    about: [episode],
  })
}

/**
 * Takes a step away from its episode, and with it what other steps needed of it; a lead counted from it is
 * counted on from where its own was.
 *
 * Refused:
 * - “This step is no longer there.”
 */
export const removeStep: Command<{ step: Id }> = (records, { step: id }, context) => {
  const step = records.steps.get(id)
  if (!step) return refused('This step is no longer there.', 'steps')
  const counted = (s: Step) => s.lead.kind === 'ahead' && s.lead.step === id
  const others = stepsOf(records, step.episode).filter((s) => s.needs.includes(id) || counted(s))
  const episode = records.episodes.get(step.episode)
  // The recipe does not offer it again.
  const left =
    episode && step.line !== undefined
      ? [
          putRecord(records, 'episodes', {
            ...episode,
            left: [...(episode.left ?? []), step.line],
            updatedAt: momentOf(context),
          }),
        ]
      : []
  return ok({
    changes: [
      removeRecord(records, 'steps', id),
      ...left,
      ...others.map((s) =>
        putRecord(records, 'steps', {
          ...s,
          needs: s.needs.filter((n) => n !== id),
          lead: counted(s) ? leadThrough(step.lead, s.lead.days) : s.lead,
          updatedAt: momentOf(context),
        }),
      ),
    ],
    sentence: `Removed the step “${step.name}”`,
    about: [step.episode],
  })
}
