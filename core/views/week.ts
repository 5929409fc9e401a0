import { sum } from 'd3-array'
import type { Busy, Day, Id, PlannedBlock, Session, Step, StepKind, Zone } from '../records'
import type { Task, WorkBlock } from '../plan/task'
import { hoursOn, type HoursOf } from '../plan/load'
import type { Occurrence } from '../plan/standing'
import { workedByDay } from '../plan/worked'
import { dayIn } from '../rhythm/creator'
import { ownMinutes, setUpKind } from '../session/kinds'
import { inDayOrder, joinedBlocks, type InDay } from './day'

/**
 * A block as the week shows it: laid by hand or taken from a plan, pinned, what planning would add, or
 * worked already.
 */
export interface DayBlock extends InDay {
  key: string
  day: Day
  minutes: number
  kind: 'laid' | 'pinned' | 'would' | 'done'
  /** The step ended on this day. */
  finished: boolean
  running: boolean
  /** A session as one block: what lies in it. */
  session?: Session
  parts?: readonly DayBlock[]
}

/** A day of the week as it is shown; minutes. */
export interface DayShown {
  day: Day
  mine: DayBlock[]
  standing: Occurrence[]
  taken: Busy[]
  /** Its hours. */
  room: number
  /** All that goes into it: worked, laid, set up, standing work and busy time. */
  used: number
  setup: number
  past: boolean
  free: number
  /** What exceeds its hours. */
  more: number
  /** Its hours differ from its weekday's. */
  own: boolean
}

/** A step as the week sees it. */
export interface WeekStep {
  step: Step
  needs: readonly Id[]
}

/**
 * What the rows of a week are made from. `blocks` are those that are to be seen: of the plan as it stands,
 * or of a proposed one.
 */
export interface WeekOf {
  days: readonly Day[]
  today: Day
  zone: Zone
  hours: HoursOf
  blocks: readonly (WorkBlock & { fixed: boolean })[]
  steps: ReadonlyMap<Id, WeekStep>
  /** All open work, which says what presses first. */
  tasks: readonly Task[]
  occurrences: readonly Occurrence[]
  busy: readonly Busy[]
  sessions: readonly Session[]
  running: Id | undefined
}

/**
 * The rows of a week, a day each: what was worked, what lies there in its order, and what its hours come
 * to.
 */
export function weekRows(of: WeekOf): DayShown[] {
  const worked = workedBlocks(of)
  const tasks = new Map(of.tasks.map((t) => [t.id, t]))
  const laid = joinedBlocks(of.blocks).map((b) => ({ ...laidBlock(b, of), urgent: tasks.get(b.id) }))
  return of.days.map((day): DayShown => {
    const past = day < of.today
    const alone = past ? [] : inDayOrder(laid.filter((b) => b.day === day))
    const open = past ? [] : inSessions(alone, day, of)
    const done = worked.filter((b) => b.day === day)
    const room = hoursOn(of.hours, day)
    const standing = of.occurrences.filter((o) => o.day === day)
    const taken = of.busy.filter((b) => b.day === day)
    const setup = past ? 0 : setupOf(alone, day, of)
    const minutesOf = (row: readonly { minutes: number }[]) => sum(row, (b) => b.minutes)
    const stands = standing
      .filter((o) => o.state === 'done' || (o.state === 'to do' && !past))
      .reduce((s, o) => s + o.work.minutes, 0)
    const busy = past ? 0 : minutesOf(taken)
    const own = sum(of.sessions, (x) => (x.day === day && !past ? ownMinutes(x) : 0))
    const taking = past ? stands : Math.min(stands + busy + own, room)
    const used = minutesOf(alone) + minutesOf(done) + setup + taking
    return {
      day,
      mine: [...done, ...open],
      standing,
      taken,
      room,
      used,
      setup,
      past,
      free: Math.max(0, room - used),
      more: Math.max(0, used - room),
      own: of.hours.exceptions?.[day] !== undefined,
    }
  })
}

function laidBlock(b: WorkBlock & { fixed: boolean }, { steps, running }: WeekOf): DayBlock {
  const found = steps.get(b.id)
  const own: PlannedBlock | undefined = b.fixed ? found?.step.blocks.find((x) => x.day === b.day) : undefined
  return {
    key: `${b.id} ${b.day}`,
    step: b.id,
    day: b.day,
    minutes: b.minutes,
    kind: b.fixed ? (own?.pinned ? 'pinned' : 'laid') : 'would',
    finished: false,
    running: b.id === running,
    needs: found?.needs ?? [],
    work: found?.step.kind,
    episode: found?.step.episode,
    at: own?.at,
    place: own?.place,
  }
}

/** The work of a day with that of each session as one block; one without steps is a block by itself. */
function inSessions(row: readonly DayBlock[], day: Day, { sessions }: WeekOf): DayBlock[] {
  let rest = [...row]
  for (const session of sessions) {
    if (session.day !== day || (session.run.kind === 'struck' && session.steps.length > 0)) continue
    const parts = rest.filter((b) => b.kind !== 'would' && session.steps.includes(b.step))
    const minutes = sum(parts, (b) => b.minutes) + ownMinutes(session)
    const [first] = parts
    if (minutes === 0) continue
    const block: DayBlock = {
      key: `session ${session.id}`,
      step: first?.step ?? session.id,
      day,
      minutes,
      kind: session.run.kind === 'struck' ? 'done' : 'pinned',
      finished: session.run.kind === 'struck',
      running: parts.some((b) => b.running) || ['setting up', 'running'].includes(session.run.kind),
      needs: [],
      work: setUpKind(session.kind),
      episode: undefined,
      at: session.at,
      session,
      parts,
    }
    // What one of them needs stands before the session.
    const needed = new Set(parts.flatMap((b) => b.needs))
    const from = first ? rest.indexOf(first) : rest.length
    const others = (b: DayBlock) => !parts.includes(b)
    const before = rest.filter((b, i) => others(b) && (i < from || needed.has(b.step)))
    rest = [...before, block, ...rest.filter((b) => others(b) && !before.includes(b))]
  }
  return rest
}

function workedBlocks({ steps, days, zone, running }: WeekOf): DayBlock[] {
  const [first, last] = [days[0] ?? '', days.at(-1) ?? '']
  return [...steps.values()].flatMap(({ step, needs }) => {
    const endedAt = step.doneAt ?? step.litAt
    if (step.worked === undefined && endedAt === undefined) return []
    const ended = endedAt === undefined ? undefined : dayIn(endedAt, zone)
    const all = new Map(workedByDay(step, zone))
    // Where a part ended it without a minute, it is still seen on its day.
    if (ended !== undefined && !all.has(ended)) all.set(ended, 0)
    return [...all].flatMap(([day, minutes]): DayBlock[] =>
      day < first || day > last
        ? []
        : [
            {
              key: `${step.id} ${day} done`,
              step: step.id,
              day,
              minutes,
              kind: 'done',
              finished: ended === day,
              running: step.id === running,
              needs,
              work: step.kind,
              episode: step.episode,
            },
          ],
    )
  })
}

/** Setting up once a day for each kind of work that is not set up already. */
function setupOf(blocks: readonly DayBlock[], day: Day, { steps, hours, today }: WeekOf): number {
  const kinds = new Set<StepKind>()
  for (const b of blocks) {
    const kind = steps.get(b.step)?.step.kind
    if (kind && !(day === today && hours.begun?.has(kind))) kinds.add(kind)
  }
  return [...kinds].reduce((sum, k) => sum + (hours.setup?.[k] ?? 0), 0)
}

/** Minutes of a week: what is left of its hours from today on, what is laid, and what planning would add. */
export function weekTotals(
  rows: readonly DayShown[],
  leftOf: (day: Day) => number,
): { room: number; laid: number; would: number } {
  const blocks = rows.flatMap((r) => r.mine)
  const of = (...kinds: DayBlock['kind'][]) =>
    sum(
      blocks.filter((b) => kinds.includes(b.kind)),
      (b) => b.minutes,
    )
  return {
    room: sum(
      rows.filter((r) => !r.past),
      (r) => leftOf(r.day),
    ),
    laid: of('laid', 'pinned'),
    would: of('would'),
  }
}
