import { addDays } from '../rhythm/days'
import { drawsOf } from './chance'
import type { WorkBlock, PlanFor, Task } from './task'

const first = '2026-11-23'

/**
 * A small case from a seed: up to seven sittings of up to three releases on up to five days, some pinned,
 * some days taken by other work.
 */
export function smallCase(n: number): PlanFor {
  const draw = drawsOf(1000 + n)
  const count = 3 + Math.floor(draw() * 5)
  const days = 3 + Math.floor(draw() * 3)
  const minutes = Array.from({ length: days }, () => [60, 90, 120, 180][Math.floor(draw() * 4)] ?? 60)
  // The last day is as long as any, so that whatever begins late is a sitting still.
  minutes[days - 1] = Math.max(...minutes)
  const largest = Math.max(...minutes) - 30
  const tasks = Array.from({ length: count }, (_, i): Task => {
    const due = Math.floor(draw() * days)
    const need = i > 0 && draw() < 0.4 ? [`t${Math.floor(draw() * i)}`] : []
    return {
      id: `t${i}`,
      episode: `e${Math.floor(draw() * 3)}`,
      kind: draw() < 0.4 ? 'film' : 'edit',
      minutes: Math.min(largest, 15 + 15 * Math.floor(draw() * 8)),
      due: addDays(first, due),
      needs: need,
      ...(draw() < 0.8 ? { release: addDays(first, due) } : {}),
      ...(draw() < 0.2 ? { earliest: addDays(first, Math.floor(draw() * days)) } : {}),
      split: false,
      weight: draw() < 0.2 ? 3 : 1,
    }
  })
  const pinned: WorkBlock[] = []
  if (draw() < 0.25) pinned.push({ id: 'other', day: addDays(first, Math.floor(draw() * days)), minutes: 30 })
  const free = tasks.findIndex((t, i) => i >= count - 2 && t.earliest === undefined)
  const on = Math.floor(draw() * days)
  const mine = tasks[free]
  // A pin that can be kept: on a day that takes the task whole.
  const taken = pinned.reduce((s, b) => s + (b.day === addDays(first, on) ? b.minutes : 0), 0)
  if (mine && draw() < 0.3 && mine.minutes + 30 + taken <= (minutes[on] ?? 0) && mine.needs.length === 0)
    pinned.push({ id: mine.id, day: addDays(first, on), minutes: mine.minutes })
  return { tasks, first, minutes, pinned, setup: { film: 30 }, preferred: {} }
}
