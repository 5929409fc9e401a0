import { ascending } from 'd3-array'
import type { Id, Job, Step } from '../records'

/** What a step of the edit waits for while its cut lies with a helper. */
export const cutWait = 'the cut'

/** Whether a step waits for what lies with a helper, and for nothing else of the same person. */
export function waitsFor(job: Job, waiting: Step['waiting']): boolean {
  return job.kind === 'cut' && waiting?.who === job.who && waiting.what === cutWait
}

/** The jobs that lie with helpers now, the first given first. */
export function openJobs(jobs: Iterable<Job>): Job[] {
  return [...jobs].filter((j) => j.ended === undefined).sort((a, b) => ascending(a.given, b.given))
}

/** What lies with a helper of an episode; nothing where it is all at home. */
export function jobOf(jobs: Iterable<Job>, episode: Id, kind: Job['kind']): Job | undefined {
  return openJobs(jobs).find((j) => j.episode === episode && j.kind === kind)
}
