import { rollup, sum } from 'd3-array'
import { changeBetween } from '../plan/shots'
import type { ChangeMinutes, Id, Session } from '../records'
import type { Item } from './items'

const minutesBetween = (from: string, to: string | number): number =>
  (typeof to === 'number' ? to - Date.parse(from) : Date.parse(to) - Date.parse(from)) / 60_000

/** A cell of a session's film, in minutes from its start as planned. */
export interface Cell {
  kind: 'setup' | 'item' | 'break'
  item?: Item
  start: number
  minutes: number
  /** Minutes of changing before it, which lie between it and the one before. */
  change: number
  /** Something else is set up for it than for the one before. */
  turns: boolean
}

/** A session as cells one behind the other, as long as planned; breaks that were made stand where they were. */
export function cellsOf(
  session: Session,
  items: readonly Item[],
  setup: number,
  costs: ChangeMinutes,
): Cell[] {
  const cells: Cell[] = [{ kind: 'setup', start: 0, minutes: setup, change: 0, turns: false }]
  let at = setup
  let last: Item | undefined
  const breaks = breaksBefore(session, new Set(items.map((i) => i.id)))
  for (const item of items) {
    for (const minutes of breaks.get(item.id) ?? []) {
      cells.push({ kind: 'break', start: at, minutes, change: 0, turns: false })
      at += minutes
    }
    const change = last ? changeBetween(last.shot, item.shot, costs) : 0
    at += change
    const turns = last === undefined || change > 0
    cells.push({ kind: 'item', item, start: at, minutes: item.shot.minutes, change, turns })
    at += item.shot.minutes
    last = item
  }
  return cells
}

/** Breaks, in minutes, by what of the row was done or is in hand after them. */
function breaksBefore({ stretches, run }: Session, row: ReadonlySet<Id>): Map<string, number[]> {
  const found = new Map<string, number[]>()
  let waiting: number[] = []
  const close = (of: string) => {
    if (waiting.length > 0) found.set(of, [...(found.get(of) ?? []), ...waiting])
    waiting = []
  }
  for (const s of stretches) {
    if (s.kind === 'break') waiting.push(Math.max(5, Math.round(minutesBetween(s.from, s.to))))
    else if (row.has(s.of)) close(s.of)
  }
  if (run.kind === 'running') close(run.at)
  return found
}

/** How a running session keeps to its plan; minutes. */
export interface SessionClock {
  /** Since what is in hand was begun, and what it was given. */
  soFar: number
  given: number
  /** Ahead of the plan, or behind it where it is below nothing. */
  ahead: number
  /** When it would be done, ms since 1970. */
  ends: number
  /** Where the clock stands on the film, minutes from its start as planned. */
  at: number
  /** Minutes of breaks so far. */
  breaks: number
}

/** Minutes of breaks that a session had, one that goes on counted in. */
export function breakMinutes({ stretches, run }: Session, now: number): number {
  const past = sum(stretches, (s) => (s.kind === 'break' ? minutesBetween(s.from, s.to) : 0))
  const here = run.kind === 'running' && run.pause !== undefined ? minutesBetween(run.pause, now) : 0
  return past + Math.max(0, here)
}

/** Minutes that what is in hand has had, breaks left out. */
export function minutesInHand({ stretches, run }: Session, now: number): number {
  if (run.kind !== 'running') return 0
  const until = run.pause === undefined ? now : Date.parse(run.pause)
  const breaks = sum(stretches, (s) =>
    s.kind === 'break' && s.from >= run.since ? minutesBetween(s.from, s.to) : 0,
  )
  return Math.max(0, minutesBetween(run.since, until) - breaks)
}

/**
 * How a running session keeps to its plan: what was got and what is in hand, as long as planned with the changes
 * before them, against the time that has gone without breaks. What is in hand counts up to what it was given; what it
 * takes beyond is behind. Nothing for one that does not run.
 */
export function clockOf(
  session: Session,
  items: readonly Item[],
  setup: number,
  costs: ChangeMinutes,
  now: number,
): SessionClock | undefined {
  const { run } = session
  if (run.kind !== 'running') return undefined
  const cells = cellsOf(session, items, setup, costs).filter((c) => c.kind === 'item')
  const whole = (c: Cell) => c.change + c.minutes
  const here = cells.find((c) => c.item?.id === run.at)
  const soFar = minutesInHand(session, now)
  const given = here ? whole(here) : 0
  const inHand = Math.min(soFar, given)
  const got = sum(cells, (c) => (c.item?.got && c.item.id !== run.at ? whole(c) : 0))
  const left = sum(cells, (c) => (c.item && !c.item.got && c.item.id !== run.at ? whole(c) : 0))
  const breaks = breakMinutes(session, now)
  const gone = minutesBetween(run.begun, now) - breaks
  const [mine, rest] = here?.item?.got ? [given, 0] : [inHand, given - inHand]
  return {
    soFar,
    given,
    ahead: setup + got + mine - gone,
    ends: now + (left + rest) * 60_000,
    at: here ? here.start - here.change + inHand : setup,
    breaks,
  }
}

/** What was in hand one after the other in a session, and for how many minutes; breaks are left out. */
export function inHandFor({ stretches }: Pick<Session, 'stretches'>): { of: Id; minutes: number }[] {
  const breaks = stretches.filter((s) => s.kind === 'break')
  return stretches.flatMap(({ kind, of, from, to }) => {
    if (kind !== 'done') return []
    const rest = sum(breaks, (b) => (b.from >= from && b.to <= to ? minutesBetween(b.from, b.to) : 0))
    return [{ of, minutes: Math.max(0, minutesBetween(from, to) - rest) }]
  })
}

/** Minutes that each thing took in a session: a stretch from what was done before to its own end, breaks left out. */
export function tookIn(session: Pick<Session, 'stretches'>): Map<Id, number> {
  return rollup(
    inHandFor(session),
    (rows) => sum(rows, (row) => row.minutes),
    (row) => row.of,
  )
}
