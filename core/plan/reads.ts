import type { Day, Id } from '../records'
import { addDays } from '../rhythm/days'
import type { Task } from './task'

/** What writing a sponsor’s read, or mending one, usually takes: minutes. */
const readMinutes = 20
/** How many days before its release a read should be written. */
const readBefore = 3
const ending = '/read'

/** The work of writing or mending an episode’s read before it goes out on a day. It is in no record and lies on no day. */
export function readTask(episode: Id, release: Day, weight: number): Task {
  return {
    ...{ id: `${episode}${ending}`, episode, kind: 'write', minutes: readMinutes, needs: [], split: false },
    ...{ due: addDays(release, -readBefore), release, weight },
  }
}

/** Whether an id is that of work on a read. */
export const isReadId = (id: Id | undefined) => id?.endsWith(ending) === true

/** Tasks with the reads of sponsors, each before all other work of its episode: it is written in the script. */
export function withReads(tasks: readonly Task[], reads: readonly Task[]): Task[] {
  const left = new Map(reads.map((r) => [r.episode, r]))
  const row = tasks.flatMap((task) => {
    const read = left.get(task.episode)
    left.delete(task.episode)
    return read ? [read, task] : [task]
  })
  return [...left.values(), ...row]
}
