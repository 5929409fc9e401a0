import { sum } from 'd3-array'
import { isLook } from '../edit/rounds'
import { usualDays } from '../helpers/jobs'
import type { Day, Episode, Id, Job, Launch, StepKind } from '../records'
import type { EpisodeProgress, StepState } from '../recipe/progress'
import { addDays, daysBetween, sayDay, weekday, weekdayName } from '../rhythm/days'
import { sayMinutes } from '../script/timecode'
import type { WorkBlock, Pinned, PlanFor, PlanCost, Task } from './task'
import { importanceOf } from './importance'
import type { Outlook } from './outlook'
import { readTask } from './reads'
import type { Load } from './load'

/** An episode with work in it, before its release or after, as planning sees it. */
export interface InWork {
  episode: Episode
  standing: EpisodeProgress
}

/** Days that someone waited for usually takes still. */
export const usualWait = 4

/** Days that somebody else may still take for a step, from a day on. */
export type OthersDays = (step: StepState['step'], today: Day) => number

/**
 * What others still take, by what their jobs took so far: the usual days of the person, less those since it lies with
 * them, at least one. What came back and is looked at takes them no more days.
 */
export function daysOfOthers(jobs: Iterable<Job>): OthersDays {
  const by = new Map<string, Job[]>()
  for (const job of jobs) by.set(job.who, [...(by.get(job.who) ?? []), job])
  return ({ owner, waiting, needs }, today) => {
    if (!waiting && needs.some(isLook)) return 0
    const usual = usualDays(by.get(waiting?.who ?? owner) ?? [])?.days
    if (usual === undefined) return usualWait
    const gone = waiting ? daysBetween(waiting.since, today) : 0
    return Math.max(1, Math.ceil(usual) - gone)
  }
}

/** All work that is open, and what of it lies in the week. */
export interface OpenWork {
  tasks: Task[]
  /** Days, from today, that others may still take for what waits on them. */
  waits: Map<Id, number>
  /**
   * Blocks from today on that lie there by hand or by a plan that was taken; `pinned` ones stay when the
   * rest is planned anew.
   */
  laid: (Pinned & { pinned: boolean })[]
  /**
   * Sponsors’ reads that are missing or not as agreed, one an episode. They are written in the script and lie on no day;
   * a forecast counts them, since no release goes out without.
   */
  reads: Task[]
}

/** Whether a step is somebody else's move: handed to them, or waiting on them. */
export function isOthers(step: StepState['step']): boolean {
  return step.waiting !== undefined || step.owner !== 'me'
}

/**
 * The open work of episodes as tasks: all of those with a release, and of those without one what lies in
 * the week, with what it needs. What another does, or is waited for, takes none of the creator's minutes,
 * yet what needs it does not come before it is expected. A release that has passed without an answer is
 * missed already: its work presses by its due dates alone. A missed release weighs by its importance.
 * `now` is in ms since 1970.
 */
export function openWork(
  work: readonly InWork[],
  today: Day,
  now: number,
  launches: ReadonlyMap<Id, Launch>,
  takes: OthersDays = () => usualWait,
): OpenWork {
  const open: OpenWork = { tasks: [], waits: new Map(), laid: [], reads: [] }
  for (const { episode, standing } of work) {
    const undone = standing.steps.filter((s) => s.left)
    const dated = standing.release !== undefined
    const wanted = dated ? undefined : laidOnes(undone, today)
    if (wanted?.size === 0) continue
    const ids = new Set(undone.map((s) => s.step.id))
    const { weight } = importanceOf(episode, launches.values())
    // What is scheduled comes out by itself, and waits for nothing.
    const waits = standing.release && standing.release.at > now && !standing.scheduled
    const out = waits ? standing.release?.day : undefined
    if (out !== undefined && standing.missing.some((m) => m.kind === 'read'))
      open.reads.push(readTask(episode.id, out, weight))
    for (const state of undone) {
      const { step } = state
      if (wanted && !wanted.has(step.id)) continue
      const others = isOthers(step)
      const hold = others ? takes(step, today) : undefined
      if (hold !== undefined) open.waits.set(step.id, hold)
      const laid = others ? [] : laidOf(state, today)
      open.laid.push(...laid)
      const lies = sum(laid, (b) => b.minutes)
      open.tasks.push({
        id: step.id,
        episode: episode.id,
        kind: step.kind,
        minutes: others ? 0 : dated || lies === 0 ? state.minutesLeft : Math.min(lies, state.minutesLeft),
        due: state.due,
        needs: state.needs.filter((n) => ids.has(n)),
        earliest:
          state.earliest ??
          (step.lead.kind === 'after' && step.spin === undefined ? standing.release?.day : undefined),
        split: step.kind !== 'film' && step.kind !== 'record',
        release: step.required && step.lead.kind !== 'after' ? out : undefined,
        weight,
        ...(hold === undefined ? {} : { hold }),
      })
    }
  }
  return open
}

/** A step's blocks from today on; what was worked on it today is taken off today's. */
function laidOf(state: StepState, today: Day): OpenWork['laid'] {
  const { step } = state
  return step.blocks.flatMap((b) => {
    if (b.day < today) return []
    const minutes = b.minutes - (b.day === today ? (step.worked?.[today] ?? 0) : 0)
    return minutes <= 0 ? [] : [{ id: step.id, day: b.day, minutes, kind: step.kind, pinned: b.pinned }]
  })
}

/** Of an episode without a date: the steps that lie in the week, and what they need. */
function laidOnes(undone: readonly StepState[], today: Day): Set<Id> {
  const byId = new Map(undone.map((s) => [s.step.id, s]))
  const wanted = new Set<Id>()
  const visit = (s: StepState): void => {
    if (wanted.has(s.step.id)) return
    wanted.add(s.step.id)
    for (const n of s.needs) {
      const need = byId.get(n)
      if (need) visit(need)
    }
  }
  for (const s of undone) if (!isOthers(s.step) && laidOf(s, today).length > 0) visit(s)
  return wanted
}

/** Tasks in the order in which they are laid now: by the day their work begins, then by their due dates. */
export function inPlanOrder(tasks: readonly Task[], load: { blocks: readonly WorkBlock[] }): Task[] {
  const begins = new Map<Id, Day>()
  for (const b of load.blocks) {
    const at = begins.get(b.id)
    if (at === undefined || b.day < at) begins.set(b.id, b.day)
  }
  const at = (t: Task) => begins.get(t.id) ?? t.due ?? '9999'
  const row = [...tasks].sort((a, b) =>
    at(a) < at(b) ? -1 : at(a) > at(b) ? 1 : (a.due ?? '9999') < (b.due ?? '9999') ? -1 : 1,
  )
  // What is needed comes first, also on the same day.
  const byId = new Map(row.map((t) => [t.id, t]))
  const placed = new Set<Id>()
  const out: Task[] = []
  const visit = (t: Task, depth: number): void => {
    if (placed.has(t.id) || depth > row.length) return
    for (const n of t.needs) {
      const need = byId.get(n)
      if (need) visit(need, depth + 1)
    }
    if (placed.has(t.id)) return
    placed.add(t.id)
    out.push(t)
  }
  for (const t of row) visit(t, 0)
  return out
}

/** The work of a stretch of days: what is due in it, and what that needs. */
export function workUntil(tasks: readonly Task[], last: Day): Task[] {
  const byId = new Map(tasks.map((t) => [t.id, t]))
  const wanted = new Set<Id>()
  const visit = (id: Id): void => {
    const task = byId.get(id)
    if (!task || wanted.has(id)) return
    wanted.add(id)
    task.needs.forEach(visit)
  }
  for (const t of tasks) if ((t.due ?? '9999') <= addDays(last, 7)) visit(t.id)
  return tasks.filter((t) => wanted.has(t.id))
}

/** What another plan gains over the one as it stands, in words; nothing gained gives an empty list. */
export function gains(before: PlanCost, after: PlanCost): string[] {
  return [
    after.missed < before.missed
      ? `Saves ${before.missed - after.missed === 1 ? 'a release' : 'releases'} that would be missed`
      : '',
    after.narrow < before.narrow ? 'Fewer releases are made narrowly' : '',
    after.late < before.late
      ? `${before.late - after.late} late ${before.late - after.late === 1 ? 'day' : 'days'} fewer`
      : '',
    after.setup < before.setup ? `Saves ${sayMinutes(before.setup - after.setup)} of set-up` : '',
    after.changes < before.changes
      ? `Turns to other work ${after.changes} times instead of ${before.changes}`
      : '',
  ].filter(Boolean)
}

/** What sentences about a block may name. */
export interface Named {
  number: (episode: Id) => string
  step: (id: Id) => string
}

const batched: ReadonlySet<StepKind> = new Set(['film', 'record'])

/**
 * Why a block stands on its day, in a sentence: pinned, batched with others, because of what must follow,
 * or because of its due date.
 */
export function explain(block: WorkBlock, of: PlanFor, blocks: readonly WorkBlock[], named: Named): string {
  const task = of.tasks.find((t) => t.id === block.id)
  const day = weekdayName(weekday(block.day)).slice(0, 3)
  if (!task) return ''
  if (of.pinned.some((p) => p.id === block.id && p.day === block.day))
    return `${day}, because you put it there.`
  const kin = [
    ...new Set(
      blocks
        .filter((b) => b.day === block.day && b.id !== block.id)
        .flatMap((b) => {
          const t = of.tasks.find((x) => x.id === b.id)
          return t && t.kind === task.kind && t.episode !== task.episode && batched.has(t.kind)
            ? [t.episode]
            : []
        }),
    ),
  ]
  const next = of.tasks
    .filter((t) => t.needs.includes(task.id))
    .flatMap((t) => {
      const first = blocks
        .filter((b) => b.id === t.id)
        .map((b) => b.day)
        .sort()[0]
      return first === undefined ? [] : [{ t, first }]
    })
    .sort((a, b) => (a.first < b.first ? -1 : 1))[0]
  const why = [
    kin.length > 0
      ? `${named.number(task.episode)} and ${kin.map(named.number).join(', ')} share the set-up`
      : '',
    next
      ? `${named.step(next.t.id)} of ${named.number(next.t.episode)} starts ${weekdayName(weekday(next.first)).slice(0, 3)}${next.first.slice(0, 7) === block.day.slice(0, 7) ? '' : ` ${sayDay(next.first)}`}`
      : '',
    !next && task.due !== undefined
      ? task.due < block.day
        ? `it was due ${sayDay(task.due)} and this is the first room`
        : `it is due ${sayDay(task.due)}`
      : '',
  ].filter(Boolean)
  return why.length === 0 ? `${day}, the first room for it.` : `${day}, because ${why.join(', and ')}.`
}

/**
 * What changes for one release when a plan is taken: its outlook and the days between being ready and going
 * out.
 */
export interface Shift {
  episode: Id
  outlook: [Outlook, Outlook]
  /** Days in hand; nothing where its work finds no room. */
  inHand: [number | undefined, number | undefined]
}

/** Whether a plan leaves a release worse or better than it stands, by two in a hundred or by a day in hand. */
export function turnOf({ outlook: [was, is], inHand: [had, has] }: Shift): 'worse' | 'better' | 'same' {
  const more = is.chance - was.chance
  const days = (has ?? -Infinity) - (had ?? -Infinity)
  if (more < -0.02 || days < 0) return 'worse'
  return more > 0.02 || days > 0 ? 'better' : 'same'
}

/**
 * The day on which the work of each episode before its release ends, as it is laid; episodes with work that
 * found no room are left out.
 */
export function readyDays(tasks: readonly Task[], load: Pick<Load, 'ends'>): Map<Id, Day> {
  const days = new Map<Id, Day>()
  const lacking = new Set<Id>()
  for (const t of tasks) {
    if (t.release === undefined) continue
    const end = load.ends.get(t.id)
    if (end === undefined) lacking.add(t.episode)
    else if (end > (days.get(t.episode) ?? '')) days.set(t.episode, end)
  }
  for (const id of lacking) days.delete(id)
  return days
}
