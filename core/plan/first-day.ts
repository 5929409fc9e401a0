import type { Ground } from './ground'
import { givesWay, type Laid, type Way } from './task'

/**
 * The work laid without a search: by urgency. Where on the first day work that gives way (`givesWay`) and is not due
 * yet would push out work for a coming release, it has only the room that this leaves.
 */
export function laidAsItStands(ground: Ground): Laid {
  const { tasks } = ground.of
  const way: Way = { order: ground.byUrgency(), wait: [], plain: tasks.map(() => false) }
  const laid = ground.lay(way)
  const yielding = new Set(
    laid.blocks.filter((b) => b.n === 0 && !b.fixed && yields(ground, b.task)).map((b) => b.task),
  )
  if (yielding.size === 0) return laid
  const held = ground.lay({ ...way, wait: tasks.map((_, i) => (yields(ground, i) ? 1 : 0)) })
  const mine = (of: Laid) => minutesForReleases(ground, of)
  if (mine(held) <= mine(laid)) return laid
  return ground.lay({ ...way, wait: waitsBeside(ground, held, way.order) })
}

/** Minutes of the first day that go to work for coming releases. */
function minutesForReleases(ground: Ground, { blocks }: Laid): number {
  let sum = 0
  for (const b of blocks) if (b.n === 0 && !yields(ground, b.task)) sum += b.minutes
  return sum
}

/** Whether a task gives way on the first day: it is short or follows a release, is not due yet, and nothing longer needs it. */
function yields(ground: Ground, i: number): boolean {
  const task = ground.of.tasks[i]
  return (
    task !== undefined &&
    givesWay(task) &&
    (ground.due[i] ?? Infinity) > 0 &&
    !ground.behind(i).some((d) => {
      const other = ground.of.tasks[d]
      return other !== undefined && !givesWay(other)
    })
  )
}

/** Holds back to the second day what finds no room on the first, beside what is laid there without it. */
function waitsBeside(ground: Ground, held: Laid, order: readonly number[]): number[] {
  const { tasks, minutes, setup } = ground.of
  const onFirst = held.blocks.filter((b) => b.n === 0)
  let room = (minutes[0] ?? 0) - (held.setups.get(0) ?? 0)
  for (const b of onFirst) room -= b.minutes
  const wait = tasks.map(() => 0)
  for (const i of order) {
    const task = tasks[i]
    if (!task || !yields(ground, i)) continue
    const isSetUp = onFirst.some((b) => tasks[b.task]?.kind === task.kind)
    const all = task.minutes + (isSetUp ? 0 : (setup[task.kind] ?? 0))
    if (all <= room) room -= all
    else wait[i] = 1
  }
  return wait
}
