import { ascending } from 'd3-array'
import type { Id, Job } from '../records'

/** The jobs that lie with helpers now, the first given first. */
export function openJobs(jobs: Iterable<Job>): Job[] {
  return [...jobs].filter((j) => j.ended === undefined).sort((a, b) => ascending(a.given, b.given))
}

/** What lies with a helper of an episode; nothing where it is all at home. */
export function jobOf(jobs: Iterable<Job>, episode: Id, kind: Job['kind']): Job | undefined {
  return openJobs(jobs).find((j) => j.episode === episode && j.kind === kind)
}
