import type { ClockTime, Day, Id } from '../records'
import type { WorkBlock } from '../plan/task'
import { hoursOn, type HoursOf } from '../plan/load'

/**
 * What a day holds, in minutes: its hours, what standing work and busy time take, what was worked, and what
 * is laid with its setting up.
 */
export interface DayFigures {
  whole: number
  taken: number
  worked: number
  planned: number
  /** What is left for episodes: hours less what is taken and worked. */
  left: number
  /** Left and not planned. */
  free: number
  /** What goes beyond the hours, said once. */
  over: number
}

/**
 * The figures of one day, the same for every screen. `planned` are the minutes laid on each date, setting
 * up included.
 */
export function dayFigures(hours: HoursOf, planned: ReadonlyMap<Day, number>, day: Day): DayFigures {
  const whole = hoursOn(hours, day)
  const taken = Math.min(whole, hours.taken?.get(day) ?? 0)
  const worked = hours.worked?.get(day) ?? 0
  const laid = planned.get(day) ?? 0
  const left = Math.max(0, whole - taken - worked)
  return {
    whole,
    taken,
    worked,
    planned: laid,
    left,
    free: Math.max(0, left - laid),
    over: Math.max(0, taken + worked + laid - whole),
  }
}

/** A piece of work as it stands in a day's row. */
export interface InDay {
  step: Id
  /** What it needs; none of it stands behind it in the row. */
  needs: readonly Id[]
  at?: ClockTime | undefined
  place?: number | undefined
}

/**
 * Work of a day in the order in which it is shown and done: by clock time, then as laid by hand, then as
 * planned; what is needed first all the same.
 */
export function inDayOrder<B extends InDay>(blocks: readonly B[]): B[] {
  const sorted = blocks
    .map((b, i) => ({ b, time: b.at ?? '~', place: b.place ?? 1000 + i }))
    .sort((x, y) => (x.time < y.time ? -1 : x.time > y.time ? 1 : x.place - y.place))
    .map((x) => x.b)
  const byStep = new Map(sorted.map((b) => [b.step, b]))
  const placed = new Set<Id>()
  const row: B[] = []
  const visit = (b: B, depth: number): void => {
    if (placed.has(b.step) || depth > sorted.length) return
    for (const n of b.needs) {
      const need = byStep.get(n)
      if (need) visit(need, depth + 1)
    }
    if (placed.has(b.step)) return
    placed.add(b.step)
    row.push(b)
  }
  for (const b of sorted) visit(b, 0)
  return row
}

/** Blocks of the same work on the same day as one: what lies there, and what the plan adds to it. */
export function joinedBlocks<B extends WorkBlock & { fixed: boolean }>(blocks: readonly B[]): B[] {
  const by = new Map<string, B>()
  for (const b of blocks) {
    const key = `${b.id} ${b.day}`
    const there = by.get(key)
    by.set(key, there ? { ...there, minutes: there.minutes + b.minutes, fixed: there.fixed || b.fixed } : b)
  }
  return [...by.values()]
}
