import type { Day, Id, Settings, StepKind } from '../records'
import { addDays, dayOf, weekday } from '../rhythm/days'
import { Ground } from './ground'
import { laidAsItStands } from './first-day'
import { type WorkBlock, type Pinned, type PlanFor, type PlanCost, type Task } from './task'

/** How far ahead plans and forecasts look, in days. */
export const horizon = 26 * 7

/** What the hours of a date are known from. */
export type HoursOf = Pick<Settings, 'hours' | 'daysOff'> &
  Partial<Pick<Settings, 'exceptions' | 'setup' | 'preferred'>> & {
    /** Minutes of dates that standing work and busy time take. */
    taken?: ReadonlyMap<Day, number>
    /** Minutes of dates that were worked on episodes already. */
    worked?: ReadonlyMap<Day, number>
    /** Kinds of work that were done today, so that their set-up stands. */
    begun?: ReadonlySet<StepKind>
  }

/**
 * Minutes left for episodes on a date: its hours less what standing work and busy time take, and what was
 * worked on it already.
 */
export function minutesOn(settings: HoursOf, day: Day): number {
  const whole = hoursOn(settings, day)
  const gone = (settings.taken?.get(day) ?? 0) + (settings.worked?.get(day) ?? 0)
  return gone === 0 ? whole : Math.max(0, whole - gone)
}

/**
 * Minutes the creator has on a date in all: its own where it was given some, none on days off, else its
 * weekday's.
 */
export function hoursOn(settings: HoursOf, day: Day): number {
  return (
    settings.exceptions?.[day] ?? (settings.daysOff.includes(day) ? 0 : (settings.hours[weekday(day)] ?? 0))
  )
}

/** The creator's minutes left on each day from a date on. */
export function minutesAhead(settings: HoursOf, first: Day, days = horizon): number[] {
  return Array.from({ length: days }, (_, n) => minutesOn(settings, addDays(first, n)))
}

/** What planning is asked for: all open work, the blocks that stay where they are, from today on. */
export function planFor(
  tasks: readonly Task[],
  pinned: readonly Pinned[],
  settings: HoursOf,
  today: Day,
  days = horizon,
): PlanFor {
  return {
    tasks,
    pinned: pinned.filter((b) => b.day >= today),
    first: today,
    minutes: minutesAhead(settings, today, days),
    setup: settings.setup ?? {},
    preferred: settings.preferred ?? {},
    firstWhole: Math.max(0, hoursOn(settings, today) - (settings.taken?.get(today) ?? 0)),
    ...(settings.begun ? { begun: settings.begun } : {}),
  }
}

/**
 * Open work laid on days: its blocks, the day each piece of work ends, and what does not end by its due
 * date.
 */
export interface Load {
  /** `fixed` ones lie there by hand or by a plan that was taken. */
  blocks: (WorkBlock & { fixed: boolean })[]
  ends: Map<Id, Day>
  over: Map<Day, number>
  /** Minutes of setting up on each date. */
  setup: Map<Day, number>
  /** Blocks that cannot stay: they lie before what they need. Their minutes are laid after it. */
  broken: readonly Pinned[]
  score: PlanCost
}

/**
 * The work as it stands: blocks that lie in the week stay, the rest is laid round them, earliest due first,
 * after what it needs, never more on a day than there is; but what is due today is laid on it, all of it. The same
 * rules as planning (`Ground`), without its search.
 */
export function layWork(of: PlanFor): Load {
  const ground = new Ground(of)
  const laid = laidAsItStands(ground)
  const load: Load = {
    blocks: laid.blocks.map(({ id, day, minutes, fixed }) => ({ id, day, minutes, fixed })),
    ends: new Map(),
    over: new Map(),
    setup: new Map([...laid.setups].map(([n, minutes]) => [dayOf(ground.first + n), minutes])),
    broken: ground.broken,
    score: laid.score,
  }
  of.tasks.forEach((t, i) => {
    const end = laid.ends[i] ?? Infinity
    const day = end === Infinity ? undefined : dayOf(ground.first + Math.max(0, end))
    if (day !== undefined) load.ends.set(t.id, day)
    if (t.due !== undefined && t.due >= of.first && (day === undefined || day > t.due))
      load.over.set(t.due, (load.over.get(t.due) ?? 0) + t.minutes)
  })
  return load
}

/** Minutes laid on each date, setting up included. */
export function minutesByDay(load: Pick<Load, 'blocks' | 'setup'>): Map<Day, number> {
  const sum = new Map<Day, number>(load.setup)
  for (const b of load.blocks) sum.set(b.day, (sum.get(b.day) ?? 0) + b.minutes)
  return sum
}
