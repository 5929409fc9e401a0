import { sum } from 'd3-array'
import type { Id } from '../records'
import { changesOf, isNarrow, type Laid, type PlanCost, type PlanFor } from './task'

/** What work is laid on, as far as its cost is concerned; days counted from the first. */
interface Scene {
  of: PlanFor
  days: number
  release: readonly number[]
  due: readonly number[]
  sort: readonly number[]
}

/** How many sorts of work each day has that has any. */
function sortsByDay({ days, sort }: Scene, blocks: Laid['blocks']): Iterable<number> {
  const seen = new Set<number>()
  const by = new Map<number, number>()
  for (const { task, n } of blocks) {
    const key = (sort[task] ?? 0) * days + n
    if (seen.has(key)) continue
    seen.add(key)
    by.set(n, (by.get(n) ?? 0) + 1)
  }
  return by.values()
}

/** The cost of laid work, and the releases it misses. */
export function scored(
  scene: Scene,
  blocks: Laid['blocks'],
  tasksEnd: readonly number[],
  setup: number,
  off: number,
): { score: PlanCost; missed: Id[] } {
  const missed = new Map<Id, number>()
  const narrow = new Map<Id, number>()
  let [late, ends] = [0, 0]
  scene.of.tasks.forEach((task, i) => {
    const end = Math.min(tasksEnd[i] ?? 0, scene.days)
    const release = scene.release[i] ?? Infinity
    const close = end > release ? missed : isNarrow(end, release) ? narrow : undefined
    close?.set(task.episode, Math.max(task.weight, close.get(task.episode) ?? 0))
    late += Math.max(0, end - Math.max(0, scene.due[i] ?? Infinity))
    ends += end * Math.max(1, task.minutes)
  })
  return {
    score: {
      missed: sum(missed.values()),
      narrow: sum(narrow, ([e, w]) => (missed.has(e) ? 0 : w)),
      late,
      off,
      setup,
      ...changesOf(sortsByDay(scene, blocks)),
      ends,
    },
    missed: [...missed.keys()],
  }
}
