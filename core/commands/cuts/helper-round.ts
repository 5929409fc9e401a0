import { lookId } from '../../edit/rounds'
import { cutWait, jobOf } from '../../helpers/jobs'
import { scriptFigures } from '../../script/timing'
import type { Cut, Job, Records, Step } from '../../records'
import { type Change, type Context, momentOf, putRecord } from '../change'
import { recipeFor, stepsOf } from '../of-episode'
import { todayOf } from '../step-of'
import { roundId } from './of-cut'

/** How much longer than a cut itself looking at it takes. */
const lookFactor = 1.5

/** Minutes that looking at a cut takes: its length and half; before that is known, by its script or what its show aims at. */
export function lookMinutes(records: Records, cut: Pick<Cut, 'episode' | 'length'>): number {
  const show = records.shows.get(records.episodes.get(cut.episode)?.show ?? '')
  const written = show ? scriptFigures(records.scripts.get(cut.episode), show.pace).seconds / 60 : 0
  const length = cut.length !== undefined ? cut.length / 60 : written || (show?.aim.to ?? 10)
  return Math.max(5, Math.ceil((length * lookFactor) / 5) * 5)
}

/** The steps of the edit that a helper does. */
function theirs(records: Records, { episode, who }: Pick<Job, 'episode' | 'who'>): Step[] {
  const found = records.episodes.get(episode)
  const stage = found && recipeFor(records, found)?.stages.find((s) => s.kind === 'edit')
  return stepsOf(records, episode).filter(
    (s) => s.stage === stage?.id && s.owner === who && s.doneAt === undefined,
  )
}

/** The look at a cut that came back, as a step of one's own; what its maker does is done when it is approved. */
export function lookStep(records: Records, job: Job, cut: Cut, context: Context): Change[] {
  const at = momentOf(context)
  const mine = theirs(records, job)
  const all = stepsOf(records, cut.episode)
  const [first] = mine
  const stage = first?.stage ?? all.find((s) => s.kind === 'edit')?.stage
  const id = lookId(cut.episode, cut.number)
  if (stage === undefined || records.steps.has(id)) return []
  const look: Step = {
    ...{ id, episode: cut.episode, stage, name: `Look at cut ${cut.number}`, kind: 'edit' },
    ...{ minutes: lookMinutes(records, cut), logged: 0, lead: first?.lead ?? { kind: 'before', days: 1 } },
    ...{ needs: [], owner: 'me', required: true, blocks: [] },
    order: (first?.order ?? Math.max(0, ...all.map((s) => s.order))) - 0.5,
    createdAt: at,
    updatedAt: at,
  }
  return [
    putRecord(records, 'steps', look),
    ...mine.map((s) => {
      const { waiting: _ended, ...rest } = s
      return putRecord(records, 'steps', { ...rest, needs: [...new Set([...s.needs, id])], updatedAt: at })
    }),
  ]
}

/**
 * What the end of a round does to what lies with the helper who made the cut: it was looked at; approved, their work is
 * done and their page ends; asked for another, it lies with them again.
 */
export function roundEnded(
  records: Records,
  cut: Cut,
  as: 'approved' | 'another',
  context: Context,
): Change[] {
  const at = momentOf(context)
  const job = jobOf(records.jobs.values(), cut.episode, 'cut')
  const look = records.steps.get(lookId(cut.episode, cut.number))
  const looked =
    look && look.doneAt === undefined
      ? [putRecord(records, 'steps', { ...look, doneAt: at, updatedAt: at })]
      : []
  if (job?.who !== cut.from) return looked
  const waiting = { who: job.who, what: cutWait, since: todayOf(records, context) }
  const { back, ...rest } = job
  return [
    ...looked,
    ...theirs(records, job).map((s) =>
      putRecord(
        records,
        'steps',
        as === 'approved'
          ? { ...s, doneAt: at, waiting: undefined, updatedAt: at }
          : { ...s, waiting, updatedAt: at },
      ),
    ),
    putRecord(
      records,
      'jobs',
      as === 'approved'
        ? { ...job, ended: at, updatedAt: at }
        : {
            ...rest,
            given: at,
            turns: [...(job.turns ?? []), ...(back === undefined ? [] : [{ given: job.given, back }])],
            updatedAt: at,
          },
    ),
  ]
}

/** The step of a further round, where a helper makes it: theirs from the beginning. */
export function madeByHelper(records: Records, step: Step, cut: Cut, context: Context): Step {
  const job = jobOf(records.jobs.values(), cut.episode, 'cut')
  return job?.who === cut.from
    ? {
        ...step,
        owner: job.who,
        waiting: { who: job.who, what: cutWait, since: todayOf(records, context) },
      }
    : step
}

/** What the end of a round did, undone where it is opened again: all that ended at its moment. */
export function roundOpened(records: Records, cut: Cut, context: Context): Change[] {
  const ended = cut.closed?.at
  if (ended === undefined || cut.closed?.kind !== 'approved') return []
  const at = momentOf(context)
  const steps = stepsOf(records, cut.episode).filter(
    (s) => s.doneAt === ended && (s.owner === cut.from || s.id === lookId(cut.episode, cut.number)),
  )
  const jobs = [...records.jobs.values()].filter((j) => j.episode === cut.episode && j.ended === ended)
  return [
    ...steps
      .filter((s) => s.id !== roundId(cut.episode, cut.number + 1))
      .map((s) => putRecord(records, 'steps', { ...s, doneAt: undefined, updatedAt: at })),
    ...jobs.map((j) => putRecord(records, 'jobs', { ...j, ended: undefined, updatedAt: at })),
  ]
}
