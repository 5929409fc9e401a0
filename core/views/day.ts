import type { ClockTime, Day, Id, StepKind } from '../records'
import { firstDue, type Urgent, type WorkBlock } from '../plan/task'
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
  work: StepKind | undefined
  episode: Id | undefined
  /** What it needs; none of it stands behind it in the row. */
  needs: readonly Id[]
  at?: ClockTime | undefined
  place?: number | undefined
  /** How it presses; a block that is none step's presses on nothing. */
  urgent?: Urgent | undefined
}

const none: Urgent = { minutes: 0 }
const pressing = (a: InDay, b: InDay) => firstDue(a.urgent ?? none, b.urgent ?? none)

/**
 * Planned work of a day: what is due first stands first, and of what is due alike the same kind, and the same episode,
 * one after the other; nothing before what it needs.
 */
function byDue<B extends InDay>(planned: readonly B[]): B[] {
  const left = [...planned]
  const row: B[] = []
  while (left.length > 0) {
    const waits = new Set(left.map((b) => b.step))
    const ready = left.filter((b) => !b.needs.some((n) => n !== b.step && waits.has(n)))
    const [first] = [...(ready.length > 0 ? ready : left)].sort(pressing)
    if (!first) break
    const alike = ready.filter((b) => pressing(b, first) === 0)
    const last = row.at(-1)
    const next =
      alike.find((b) => b.work === last?.work && b.episode === last?.episode) ??
      alike.find((b) => b.work === last?.work) ??
      first
    left.splice(left.indexOf(next), 1)
    row.push(next)
  }
  return row
}

/**
 * Work of a day in the order in which it is shown and done: by clock time, then as laid by hand, then by due date
 * (`firstDue`); what is needed first all the same.
 */
export function inDayOrder<B extends InDay>(blocks: readonly B[]): B[] {
  const byHand = blocks
    .filter((b) => b.at !== undefined || b.place !== undefined)
    .sort((x, y) => {
      const [a, b] = [x.at ?? '~', y.at ?? '~']
      return a < b ? -1 : a > b ? 1 : (x.place ?? Infinity) - (y.place ?? Infinity)
    })
  const sorted = [...byHand, ...byDue(blocks.filter((b) => b.at === undefined && b.place === undefined))]
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
