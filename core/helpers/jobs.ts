import { ascending } from 'd3-array'
import type { Id, Job, Step } from '../records'

/** What a step of the edit waits for while its cut lies with a helper. */
export const cutWait = 'the cut'

/** Whether a step waits for what lies with a helper, and for nothing else of the same person. */
export function waitsFor(job: Job, waiting: Step['waiting']): boolean {
  return job.kind === 'cut' && waiting?.who === job.who && waiting.what === cutWait
}

/** Whether a step is what a job is about: its own move is the job's. */
export function isOfJob(job: Job, { episode, owner, waiting, kind }: Step): boolean {
  return (
    job.episode === episode &&
    (waitsFor(job, waiting) || (job.kind === 'cut' && kind === 'edit' && owner === job.who))
  )
}

/** The jobs that lie with helpers now, the first given first. */
export function openJobs(jobs: Iterable<Job>): Job[] {
  return [...jobs].filter((j) => j.ended === undefined).sort((a, b) => ascending(a.given, b.given))
}

/** What lies with a helper of an episode; nothing where it is all at home. */
export function jobOf(jobs: Iterable<Job>, episode: Id, kind: Job['kind']): Job | undefined {
  return openJobs(jobs).find((j) => j.episode === episode && j.kind === kind)
}

/** The times that a job came back, with when it was given each time; the first first. */
export function turnsOf({ turns = [], given, back }: Pick<Job, 'turns' | 'given' | 'back'>) {
  return back === undefined ? turns : [...turns, { given, back }]
}

/** The usual days in which somebody brings back what lies with them: the middle of what came back, from three on. */
export function usualDays(jobs: readonly Job[]): { days: number; of: number } | undefined {
  const taken = jobs
    .flatMap(turnsOf)
    .map((t) => (Date.parse(t.back) - Date.parse(t.given)) / 86_400_000)
    .sort(ascending)
  const middle = taken[Math.floor((taken.length - 1) / 2)]
  const other = taken[Math.ceil((taken.length - 1) / 2)]
  return taken.length < 3 || middle === undefined || other === undefined
    ? undefined
    : { days: Math.round(((middle + other) / 2) * 10) / 10, of: taken.length }
}
