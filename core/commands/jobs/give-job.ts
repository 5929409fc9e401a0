import { cutWait, jobOf, openJobs, waitsFor } from '../../helpers/jobs'
import type { Id, Job, Records, Step } from '../../records'
import { ok, refused } from '../../result'
import { titleOf } from '../../release/parts'
import { type Change, type Command, momentOf, putRecord } from '../change'
import { recipeFor, stepsOf } from '../of-episode'
import { todayOf } from '../step-of'

/** The open step of an episode's edit that waits while its cut lies elsewhere; nothing where none is left. */
function editStep(records: Records, episode: Id): Step | undefined {
  const found = records.episodes.get(episode)
  const stage = found && recipeFor(records, found)?.stages.find((s) => s.kind === 'edit')
  return stage && stepsOf(records, episode).find((s) => s.stage === stage.id && s.doneAt === undefined)
}

/** The steps that wait for what lies with a helper, waiting no longer, and one's own again. */
function waitingEnded(records: Records, job: Job, at: string): Change[] {
  return stepsOf(records, job.episode)
    .filter(
      (s) =>
        s.doneAt === undefined && (waitsFor(job, s.waiting) || (job.kind === 'cut' && s.owner === job.who)),
    )
    .map((s) => {
      const { waiting: _ended, ...rest } = s
      return putRecord(records, 'steps', { ...rest, owner: 'me', updatedAt: at })
    })
}

/**
 * Gives a job to a helper: it lies on their desk from now on, with a page of its own, and the next step of the edit is
 * theirs and waits on them. `id` is the job's.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “Say who it goes to.”
 * - “It lies with … already. Take it back first.”
 */
export const giveJob: Command<Pick<Job, 'id' | 'episode' | 'kind' | 'who' | 'parts' | 'shelf'>> = (
  records,
  { id, episode: of, kind, who, parts, shelf },
  context,
) => {
  const episode = records.episodes.get(of)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const name = who.trim()
  if (name === '') return refused('Say who it goes to.', 'jobs.who')
  const before = jobOf(records.jobs.values(), of, kind)
  if (before) return refused(`It lies with ${before.who} already. Take it back first.`, 'jobs')
  const at = momentOf(context)
  const job = {
    ...{ id, episode: of, kind, who: name, parts, shelf, given: at, asked: [] },
    ...{ createdAt: at, updatedAt: at },
  }
  const step = kind === 'cut' ? editStep(records, of) : undefined
  const what = { cut: cutWait, release: 'the hand-over', review: 'a look at the cut' }[kind]
  return ok({
    changes: [
      putRecord(records, 'jobs', job),
      ...(step && !step.waiting
        ? [
            putRecord(records, 'steps', {
              ...step,
              owner: name,
              waiting: { who: name, what, since: todayOf(records, context) },
              updatedAt: at,
            }),
          ]
        : []),
    ],
    sentence: `Gave ${what} of “${titleOf(episode)}” to ${name}`,
    about: [of],
  })
}

/**
 * Takes a job back: its page ends, whatever address was given out, and nothing waits on its helper any more.
 *
 * Refused:
 * - “This is no longer with a helper.”
 */
export const endJob: Command<{ job: Id }> = (records, { job: id }, context) => {
  const job = records.jobs.get(id)
  if (!job || job.ended !== undefined) return refused('This is no longer with a helper.', 'jobs')
  const at = momentOf(context)
  return ok({
    changes: [
      putRecord(records, 'jobs', { ...job, ended: at, updatedAt: at }),
      ...waitingEnded(records, job, at),
    ],
    sentence: `Ended ${job.who}’s page`,
    about: [job.episode],
  })
}

/**
 * Answers what a helper asked; it stands on their page.
 *
 * Refused:
 * - “This is no longer with a helper.”
 * - “This question is no longer there.”
 */
export const answerHelper: Command<{ job: Id; question: Id; answer: string }> = (
  records,
  { job: id, question, answer },
  context,
) => {
  const job = openJobs(records.jobs.values()).find((j) => j.id === id)
  if (!job) return refused('This is no longer with a helper.', 'jobs')
  if (!job.asked.some((q) => q.id === question))
    return refused('This question is no longer there.', 'jobs.asked')
  const asked = job.asked.map((q) => (q.id === question ? { ...q, answer: answer.trim() } : q))
  return ok({
    changes: [putRecord(records, 'jobs', { ...job, asked, updatedAt: momentOf(context) })],
    sentence: `Answered ${job.who}`,
    about: [job.episode],
  })
}
