import type { Day, Id, Records, Step } from '../records'
import { fine, refused, type Result } from '../result'
import { leadThrough } from '../recipe/edit'
import { inOrder } from '../recipe/needs'
import { sayDay } from '../rhythm/days'
import { dayAt, momentAt } from '../rhythm/zone'
import { momentOf, putting, removing, type Command, type Context, type Done } from './change'
import { timed } from './doing'
import { recipeFor, stepsOf } from './schedule'
import { stepOf, zoneOf } from './step-of'

function over(
  records: Records,
  id: Id,
  to: (step: Step) => Step,
  context: Context,
  sentence: (step: Step) => string,
): Result<Done> {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const step = read.value
  return fine({
    changes: [putting(records, 'steps', { ...to(step), updatedAt: momentOf(context) })],
    sentence: sentence(step),
    about: [step.episode],
  })
}

/**
 * Ticks a step done now, or takes the tick back; who waited no longer waits. A timer that runs on it stops,
 * its minutes logged; otherwise nothing is logged.
 */
export const tickStep: Command<{ step: Id; done: boolean }> = (records, { step: id, done }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const { step, stopped } = done ? timed(records, read.value, context) : { step: read.value, stopped: [] }
  const at = momentOf(context)
  return fine({
    changes: [
      putting(records, 'steps', {
        ...step,
        doneAt: done ? at : undefined,
        waiting: done ? undefined : step.waiting,
        updatedAt: at,
      }),
      ...stopped,
    ],
    sentence: `${done ? 'Done' : 'Not done after all'}: ${step.name}`,
    about: [step.episode],
  })
}

/** Lets a step wait on someone from a date, or ends the waiting. */
export const waitStep: Command<{
  step: Id
  waiting: { who: string; what: string; since: Day; nudge?: number | undefined } | undefined
}> = (records, { step, waiting }, context) =>
  over(
    records,
    step,
    (s) => ({ ...s, waiting }),
    context,
    (s) => (waiting ? `${s.name} waits on ${waiting.who}` : `${s.name} waits no longer`),
  )

/** Changes a step's own estimate in minutes. */
export const estimateStep: Command<{ step: Id; minutes: number }> = (records, { step, minutes }, context) =>
  over(
    records,
    step,
    (s) => ({ ...s, minutes }),
    context,
    (s) => `${s.name}: ${minutes} min`,
  )

/** Adds a step of the episode's own to a stage, due with the release unless said otherwise. */
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
    lead: { by: 'before', days: 1 },
    needs: [],
    owner: 'me',
    required: true,
    blocks: [],
    order,
    createdAt: at,
    updatedAt: at,
  }
  return fine({
    changes: [putting(records, 'steps', step)],
    sentence: `Added the step “${name}”`,
    about: [episode],
  })
}

/**
 * Takes a step away from its episode, and with it what other steps needed of it; a lead counted from it is
 * counted on from where its own was.
 */
export const removeStep: Command<{ step: Id }> = (records, { step: id }, context) => {
  const step = records.steps.get(id)
  if (!step) return refused('This step is no longer there.', 'steps')
  const counted = (s: Step) => s.lead.by === 'ahead' && s.lead.step === id
  const others = stepsOf(records, step.episode).filter((s) => s.needs.includes(id) || counted(s))
  const episode = records.episodes.get(step.episode)
  // The recipe does not offer it again.
  const left =
    episode && step.line !== undefined
      ? [
          putting(records, 'episodes', {
            ...episode,
            left: [...(episode.left ?? []), step.line],
            updatedAt: momentOf(context),
          }),
        ]
      : []
  return fine({
    changes: [
      removing(records, 'steps', id),
      ...left,
      ...others.map((s) =>
        putting(records, 'steps', {
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

/**
 * Ticks all open steps of some stages done, or takes the ticks of theirs back, as one step of undo. Refused
 * when nothing would change.
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
  return fine({
    changes: [
      ...mine.map((s, i) =>
        putting(records, 'steps', {
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

/**
 * Sets the day on which a step was done, for what was ticked a day late; the minutes worked on the day it
 * was ticked go with it. Refused for a day to come.
 */
export const backdateStep: Command<{ step: Id; day: Day }> = (records, { step: id, day }, context) => {
  const step = records.steps.get(id)
  const zone = zoneOf(records)
  if (!step?.doneAt) return refused('It is not done yet. Tick it first.', 'steps.doneAt')
  if (day > dayAt(context.now, zone))
    return refused('That day is still to come. Choose one that has passed.', 'steps.doneAt')
  const was = dayAt(Date.parse(step.doneAt), zone)
  const { [was]: minutes, ...rest } = step.worked ?? {}
  const worked = minutes === undefined ? {} : { worked: { ...rest, [day]: (rest[day] ?? 0) + minutes } }
  return fine({
    changes: [
      putting(records, 'steps', {
        ...step,
        ...worked,
        doneAt: new Date(momentAt(day, '20:00', zone)).toISOString(),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `${step.name} was done ${sayDay(day)}`,
    about: [step.episode],
  })
}

/**
 * Ticks an item of a checklist for one episode, or takes the tick back. Refused when no checklist of its
 * recipe has the item.
 */
export const tickItem: Command<{ episode: Id; item: Id; on: boolean }> = (
  records,
  { episode: id, item, on },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const lists = recipeFor(records, episode)?.checklists ?? []
  if (!lists.some((l) => l.items.some((i) => i.id === item)))
    return refused('This item is no longer in the checklist.', 'episodes.ticked')
  const ticked = (episode.ticked ?? []).filter((t) => t !== item)
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...episode,
        ticked: on ? [...ticked, item] : ticked,
        updatedAt: momentOf(context),
      }),
    ],
    sentence: on ? 'Ticked an item of a checklist' : 'Took back the tick of an item',
    about: [id],
  })
}

/** Puts away a note, or the offer of a folder, that a follow-on put on Today. The log keeps it. */
export const putAway: Command<{ episode: Id; followed: Id }> = (
  records,
  { episode: id, followed },
  context,
) => {
  const episode = records.episodes.get(id)
  const entry = episode?.followed?.find((f) => f.id === followed)
  if (!episode || !entry) return refused('It is no longer there.', 'episodes.followed')
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...episode,
        followed: (episode.followed ?? []).map((f) => (f.id === followed ? { ...f, shows: undefined } : f)),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Put away: ${entry.says}`,
    about: [id],
  })
}

/** Changes who does a step, its lead or its earliest date for one episode alone. */
export const editStep: Command<{
  step: Id
  fields: Partial<Pick<Step, 'name' | 'minutes' | 'lead' | 'earliest' | 'required' | 'owner' | 'needs'>>
}> = (records, { step: id, fields }, context) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const step = read.value
  const next: Step = { ...step, ...fields }
  const order = inOrder([...stepsOf(records, step.episode).filter((s) => s.id !== id), next])
  if (!order.ok) return order
  return fine({
    changes: [putting(records, 'steps', { ...next, updatedAt: momentOf(context) })],
    sentence: `Changed the step “${next.name}”`,
    about: [step.episode],
    merge: `step ${id} ${Object.keys(fields).join()}`,
  })
}
