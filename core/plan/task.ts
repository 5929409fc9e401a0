import type { Day, Id, StepKind } from '../records'

/** One open piece of work to be laid on days. */
export interface Task {
  id: Id
  episode: Id
  kind: StepKind
  /** Minutes left; nothing for what another does. */
  minutes: number
  due?: Day | undefined
  needs: readonly Id[]
  earliest?: Day | undefined
  /** May be laid in several blocks of at least half an hour. Filming and recording are one sitting. */
  split: boolean
  /**
   * The release that it must end by; absent for steps after it, not required ones, and episodes without a
   * date.
   */
  release?: Day | undefined
  /** How much a missed release weighs; 1 for an ordinary one. */
  weight: number
  /**
   * Days from the first one until what another does, or is waited for, is expected; it takes none of the
   * creator's minutes.
   */
  hold?: number | undefined
}

export interface WorkBlock {
  id: Id
  day: Day
  minutes: number
}

/**
 * A block that stays where it is. Of work that is not planned here its kind says what is set up on that
 * day.
 */
export interface Pinned extends WorkBlock {
  kind?: StepKind | undefined
}

/**
 * What planning keeps to: minutes per day from `first` on, blocks that stay, set-up minutes per kind and
 * day, weekdays (Monday 0) preferred per kind.
 */
export interface PlanFor {
  tasks: readonly Task[]
  first: Day
  minutes: readonly number[]
  pinned: readonly Pinned[]
  setup: Partial<Record<StepKind, number>>
  preferred: Partial<Record<StepKind, readonly number[]>>
  /** Kinds of work that are set up on the first day already, since some of it was done. */
  begun?: ReadonlySet<StepKind> | undefined
  /**
   * Minutes that the first day had before anything was worked on it. Where it is given, work that is due by that day
   * and would fit into it while empty is laid on it even beyond what is left of it: what is due today is done today.
   */
  firstWhole?: number | undefined
}

/**
 * How good a plan is, in order of importance (`engine` 4): weight of missed releases and of those that are
 * made narrowly, late days, work off its preferred day, set-up minutes, and then together how often a day turns to other work and how late
 * work ends.
 */
export interface PlanCost {
  missed: number
  /** Weight of releases that are made, and would not be if all work took two fifths longer. */
  narrow: number
  late: number
  off: number
  setup: number
  /** How often days turn to another kind of work or another episode. */
  changes: number
  /** The same, each further change of a day counting one more: 1, 3, 6, 10. */
  unrest: number
  /** Minutes times the days until they are done. */
  ends: number
}

/**
 * What one of `unrest` may put off, in minute-days: an hour by a day. Compared by itself before `ends`, it
 * would put small work off for weeks only to have days with one thing in them.
 */
export const calm = 60

/** How much longer than planned work may take before a release counts as narrow; so that four in five make it. */
const stretch = 1.4

/** Whether a release that is made by work ending on a day, both counted from the first, is made narrowly. */
export function isNarrow(end: number, release: number): boolean {
  return end <= release && (end + 1) * stretch - 1 > release
}

/** Changes of a plan, from how many sorts of work (kind and episode) each day has. */
export function changesOf(sorts: Iterable<number>): Pick<PlanCost, 'changes' | 'unrest'> {
  let [changes, unrest] = [0, 0]
  for (const n of sorts) {
    const turns = Math.max(0, n - 1)
    changes += turns
    unrest += (turns * (turns + 1)) / 2
  }
  return { changes, unrest }
}

/** Whether one score is better than another, by the first part in which they differ. */
export function isBetter(a: PlanCost, b: PlanCost): boolean {
  if (a.missed !== b.missed) return a.missed < b.missed
  if (a.narrow !== b.narrow) return a.narrow < b.narrow
  if (a.late !== b.late) return a.late < b.late
  if (a.off !== b.off) return a.off < b.off
  if (a.setup !== b.setup) return a.setup < b.setup
  return a.ends + calm * a.unrest < b.ends + calm * b.unrest
}

/** Work laid on days, tasks by their place in `PlanFor.tasks`. */
export interface Laid {
  blocks: (WorkBlock & { task: number; n: number; fixed: boolean })[]
  /** Day on which each task ends, counted from the first; `Infinity` where it found no room. */
  ends: number[]
  score: PlanCost
  /** Releases that are missed, by episode. */
  missed: Id[]
  /** Work that found no room at all. */
  unplaced: Id[]
  /** Minutes of setting up by day. */
  setups: Map<number, number>
}

/** How tasks are laid: one after another; held back to a day; with or without their preferred weekday. */
export interface Way {
  order: readonly number[]
  wait: readonly number[]
  plain: readonly boolean[]
}

/** Steps shorter than this fill gaps; they take no room from longer work that a release waits for. Minutes. */
export const short = 15

/** Whether a task gives way to work that a coming release waits for: it is short, or no release waits for it. */
export function givesWay({ minutes, release }: Pick<Task, 'minutes' | 'release'>): boolean {
  return release === undefined || minutes < short
}

/** What decides which of two pieces of work comes first. */
export type Urgent = Pick<Task, 'minutes'> & { due?: Day | undefined; release?: Day | undefined }

/**
 * Which of two pieces of work comes first: the one due first; of those due on the same day, the one that a coming
 * release waits for, then the one whose release comes first. Negative where it is `a`, 0 where neither.
 */
export function firstDue(a: Urgent, b: Urgent): number {
  return (
    compare(a.due ?? later, b.due ?? later) ||
    Number(givesWay(a)) - Number(givesWay(b)) ||
    compare(a.release ?? later, b.release ?? later)
  )
}

const later = '9999'
const compare = (x: string, y: string) => (x < y ? -1 : x > y ? 1 : 0)
