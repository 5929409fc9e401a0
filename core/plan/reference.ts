import { sum } from 'd3-array'
import { dayNumber } from '../rhythm/days'
import { changesOf, isBetter, isNarrow, type PlanFor, type PlanCost } from './task'

/**
 * The best score of every assignment of whole tasks to days, or to none, tried one by one: what the planner
 * is held against on small cases. Tasks are taken as sittings, pinned ones stay on their day whole;
 * exponential in tasks.
 */
export function bestByTrying(of: PlanFor): PlanCost {
  const { tasks, minutes, setup } = of
  const first = dayNumber(of.first)
  const days = minutes.length
  const at = (day: string | undefined) => (day === undefined ? Infinity : dayNumber(day) - first)
  const needs = tasks.map((t) => t.needs.map((n) => tasks.findIndex((x) => x.id === n)))
  const pin = tasks.map((t) => of.pinned.find((b) => b.id === t.id))
  const room = minutes.map(
    (m, n) =>
      m -
      of.pinned.reduce(
        (s, b) => s + (at(b.day) === n && !tasks.some((t) => t.id === b.id) ? b.minutes : 0),
        0,
      ),
  )
  let best: PlanCost | undefined
  const chosen: number[] = []
  const score = (): PlanCost | undefined => {
    const missed = new Map<string, number>()
    const narrow = new Map<string, number>()
    let [late, ends, cost] = [0, 0, 0]
    tasks.forEach((t, k) => {
      const end = chosen[k] ?? days
      if (end > at(t.release)) missed.set(t.episode, Math.max(t.weight, missed.get(t.episode) ?? 0))
      if (isNarrow(end, at(t.release))) narrow.set(t.episode, Math.max(t.weight, narrow.get(t.episode) ?? 0))
      late += Math.max(0, end - Math.max(0, at(t.due)))
      ends += end * Math.max(1, t.minutes)
    })
    const sorts: number[] = []
    for (let n = 0; n < days; n++) {
      const mine = tasks.filter((_, k) => chosen[k] === n)
      const up = [...new Set(mine.map((t) => t.kind))].reduce((s, k) => s + (setup[k] ?? 0), 0)
      if (sum(mine, (t) => t.minutes) + up > (room[n] ?? 0)) return undefined
      cost += up
      sorts.push(new Set(mine.map((t) => `${t.kind} ${t.episode}`)).size)
    }
    return {
      missed: sum([...missed.values()], (w) => w),
      narrow: sum([...narrow], ([e, w]) => (missed.has(e) ? 0 : w)),
      late,
      off: 0,
      setup: cost,
      ...changesOf(sorts),
      ends,
    }
  }
  const go = (i: number): void => {
    const task = tasks[i]
    if (!task) {
      const found = score()
      if (found && (!best || isBetter(found, best))) best = found
      return
    }
    const from = Math.max(
      0,
      ...(needs[i] ?? []).map((n) => chosen[n] ?? 0),
      task.earliest === undefined ? 0 : at(task.earliest),
    )
    const fixed = pin[i]
    for (let n = from; n <= days; n++) {
      if (fixed && n !== at(fixed.day)) continue
      const used = tasks.reduce((s, t, k) => s + (k < i && chosen[k] === n ? t.minutes : 0), 0)
      if (n < days && task.minutes + used > (room[n] ?? 0)) continue
      chosen[i] = n
      go(i + 1)
    }
    chosen.length = i
  }
  go(0)
  if (!best) throw new Error('No assignment keeps the rules.')
  return best
}
