import type { Day, Episode, Id, Settings, StepKind } from '../model'
import type { Standing } from '../recipe/lamps'
import { addDays, sayDay, weekday, weekdayName } from '../rhythm/days'
import { minutesOn, type HoursOf, type Load } from './load'
import type { Block, PlanFor, Score, Task } from './planner'

/** An episode in work, as planning sees it. */
export interface InWork {
  episode: Episode
  standing: Standing
}

/** How far ahead plans and forecasts look, in days. */
export const horizon = 26 * 7

/** Days that someone waited for usually takes still. */
export const usualWait = 4

/**
 * The open work of episodes with a release as tasks, and the days that others may still take for what waits on them. What another does, or
 * is waited for, takes none of the creator's minutes. Sponsored releases weigh three ordinary ones, each step of priority one more.
 */
export function tasksOf(work: readonly InWork[]): { tasks: Task[]; waits: Map<Id, number> } {
  const tasks: Task[] = []
  const waits = new Map<Id, number>()
  for (const { episode, standing } of work) {
    const { release } = standing
    if (!release) continue
    const open = new Set(standing.steps.filter((s) => !s.done).map((s) => s.step.id))
    for (const { step, done, due, minutesLeft, earliest } of standing.steps) {
      if (done) continue
      const others = step.waiting !== undefined || step.owner !== 'me'
      if (others) waits.set(step.id, usualWait)
      tasks.push({
        id: step.id,
        episode: episode.id,
        kind: step.kind,
        minutes: others ? 0 : minutesLeft,
        due,
        needs: step.needs.filter((n) => open.has(n)),
        earliest: earliest ?? (step.lead.by === 'after' ? release.day : undefined),
        split: step.kind !== 'film' && step.kind !== 'record',
        release: step.required && step.lead.by !== 'after' ? release.day : undefined,
        weight: 1 + episode.priority + (episode.sponsor === undefined ? 0 : 2),
      })
    }
  }
  return { tasks, waits }
}

/** The creator's minutes on each day from a date on. */
export function minutesAhead(settings: HoursOf, first: Day, days = horizon): number[] {
  return Array.from({ length: days }, (_, n) => minutesOn(settings, addDays(first, n)))
}

/** Tasks in the order in which they are laid now: by the day their work begins, then by their due dates. */
export function inPlanOrder(tasks: readonly Task[], load: Pick<Load, 'blocks'>): Task[] {
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

/** What planning is asked for: all open work, the pinned blocks where they are, from today on. */
export function planFor(
  tasks: readonly Task[],
  pinned: readonly Block[],
  settings: HoursOf & Pick<Settings, 'setup' | 'preferred'>,
  today: Day,
): PlanFor {
  return {
    tasks,
    pinned: pinned.filter((b) => b.day >= today),
    first: today,
    minutes: minutesAhead(settings, today),
    setup: settings.setup,
    preferred: settings.preferred,
  }
}

/** What another plan gains over the one as it stands, in words; nothing gained gives an empty list. */
export function gains(before: Score, after: Score): string[] {
  const hours = (m: number) =>
    m % 60 === 0 ? `${m / 60} h` : m > 60 ? `${Math.floor(m / 60)} h ${m % 60}` : `${m} min`
  return [
    after.missed < before.missed
      ? `Saves ${before.missed - after.missed === 1 ? 'a release' : 'releases'} that would be missed`
      : '',
    after.late < before.late
      ? `${before.late - after.late} late ${before.late - after.late === 1 ? 'day' : 'days'} fewer`
      : '',
    after.setup < before.setup ? `Saves ${hours(before.setup - after.setup)} of set-up` : '',
  ].filter(Boolean)
}

/** What a sentence about a block may name. */
export interface Named {
  number: (episode: Id) => string
  step: (id: Id) => string
}

const batched: ReadonlySet<StepKind> = new Set(['film', 'record'])

/** Why a block stands on its day, in a sentence: pinned, batched with others, because of what must follow, or because of its due date. */
export function explain(block: Block, of: PlanFor, blocks: readonly Block[], named: Named): string {
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
