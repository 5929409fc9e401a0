import { sum } from 'd3-array'
import type { Busy, Day, Id, PlannedBlock, Step, StepKind, Zone } from '../records'
import type { WorkBlock } from '../plan/task'
import { hoursOn, type HoursOf } from '../plan/load'
import type { Occurrence } from '../plan/standing'
import { workedByDay } from '../plan/worked'
import { dayIn } from '../rhythm/creator'
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
  occurrences: readonly Occurrence[]
  busy: readonly Busy[]
  running: Id | undefined
}

/**
 * The rows of a week, a day each: what was worked, what lies there in its order, and what its hours come
 * to.
 */
export function weekRows(of: WeekOf): DayShown[] {
  const worked = workedBlocks(of)
  const laid = joinedBlocks(of.blocks).map((b) => laidBlock(b, of))
  return of.days.map((day): DayShown => {
    const past = day < of.today
    const open = past ? [] : inDayOrder(laid.filter((b) => b.day === day))
    const done = worked.filter((b) => b.day === day)
    const room = hoursOn(of.hours, day)
    const standing = of.occurrences.filter((o) => o.day === day)
    const taken = of.busy.filter((b) => b.day === day)
    const setup = past ? 0 : setupOf(open, day, of)
    const minutesOf = (row: readonly { minutes: number }[]) => sum(row, (b) => b.minutes)
    const stands = standing
      .filter((o) => o.state === 'done' || (o.state === 'to do' && !past))
      .reduce((s, o) => s + o.work.minutes, 0)
    const busy = past ? 0 : minutesOf(taken)
    const used = minutesOf(open) + minutesOf(done) + setup + Math.min(stands + busy, past ? stands : room)
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

function workedBlocks({ steps, days, zone, running }: WeekOf): DayBlock[] {
  const [first, last] = [days[0] ?? '', days.at(-1) ?? '']
  return [...steps.values()].flatMap(({ step, needs }) => {
    if (step.worked === undefined && step.doneAt === undefined) return []
    const ended = step.doneAt === undefined ? undefined : dayIn(step.doneAt, zone)
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
