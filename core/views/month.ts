import type { Day, Id, Launch } from '../records'
import { addDays, monthName, weekday } from '../rhythm/days'
import { sayKind, thingsOf } from '../release/when'
import { dayAt } from '../rhythm/zone'
import { sayMinutes } from '../script/timecode'
import type { WorkBlock } from '../plan/task'
import type { Card, StepIn } from './card'

/** A month as whole weeks: its first day, its name, and the days of its cells. */
export interface MonthCells {
  start: Day
  name: string
  cells: Day[]
}

/** The month that lies `offset` months from today's, its weeks beginning on a weekday (0 for Monday). */
export function monthCells(today: Day, offset: number, firstWeekday: number): MonthCells {
  const n = Number(today.slice(0, 4)) * 12 + Number(today.slice(5, 7)) - 1 + offset
  const monthOf = (m: number) => `${Math.floor(m / 12)}-${String((m % 12) + 1).padStart(2, '0')}-01`
  const start = monthOf(n)
  const length = Number(addDays(monthOf(n + 1), -1).slice(8))
  const lead = (weekday(start) - firstWeekday + 7) % 7
  const cells = Array.from({ length: Math.ceil((lead + length) / 7) * 7 }, (_, c) => addDays(start, c - lead))
  return { start, name: `${monthName(start)} ${start.slice(0, 4)}`, cells }
}

function push<T>(by: Map<Day, T[]>, day: Day, item: T): void {
  const row = by.get(day)
  if (row) row.push(item)
  else by.set(day, [item])
}

/** What goes out on each day, and what went out. `released` come with the day on which they did. */
export function releasesByDay(
  placed: readonly Card[],
  released: readonly { card: Card; day: Day }[],
): Map<Day, Card[]> {
  const by = new Map<Day, Card[]>()
  for (const card of placed) if (card.standing.release) push(by, card.standing.release.day, card)
  for (const { card, day } of released) push(by, day, card)
  return by
}

/** What is due on each day, as a line: "First cut, #43". */
export function dueByDay(placed: readonly Card[]): Map<Day, string[]> {
  const by = new Map<Day, string[]>()
  for (const card of placed)
    for (const s of card.standing.steps)
      if (s.left && s.due) push(by, s.due, `${s.step.name}, ${card.number}`)
  return by
}

/** What is made of episodes and goes out by itself, on each day as a line: “Post AB22-A, #42”. */
export function spinOffsByDay(cards: readonly Card[]): Map<Day, string[]> {
  const by = new Map<Day, string[]>()
  for (const { episode, show, outlets, number } of cards)
    if ((episode.spinOffs ?? []).length > 0)
      for (const { spin, at } of thingsOf(episode, show, outlets))
        if (spin) push(by, dayAt(at, show.zone), `${sayKind(spin.kind)} ${spin.code}, ${number}`)
  return by
}

/** A stint of work on a day; minutes. */
export interface DayWork {
  key: string
  name: string
  number: string
  minutes: number
  /** By hand, or taken from a plan. */
  laid: boolean
}

/** Work of each day as the plan has it, the longest first. */
export function workByDay(
  blocks: readonly WorkBlock[],
  stepIn: ReadonlyMap<Id, StepIn>,
): Map<Day, DayWork[]> {
  const by = new Map<Day, DayWork[]>()
  for (const b of blocks) {
    const found = stepIn.get(b.id)
    if (found)
      push(by, b.day, {
        key: `${b.id} ${b.day}`,
        name: found.state.step.name,
        number: found.card.number,
        minutes: b.minutes,
        laid: found.state.step.blocks.some((x) => x.day === b.day),
      })
  }
  for (const row of by.values()) row.sort((a, b) => b.minutes - a.minutes)
  return by
}

/** A launch on a day: its run-up or the thing itself, and whether it begins there. */
export interface LaunchOn {
  launch: Launch
  part: 'run-up' | 'launch'
  begins: boolean
}

/** Launches that a day belongs to. */
export function launchesOn(launches: Iterable<Launch>, day: Day): LaunchOn[] {
  return [...launches].flatMap((launch): LaunchOn[] => {
    const up = addDays(launch.from, -launch.runUp)
    if (day < up || day > launch.to) return []
    return [
      { launch, part: day >= launch.from ? 'launch' : 'run-up', begins: day === launch.from || day === up },
    ]
  })
}

/** What a month's releases come to. */
export interface MonthCounts {
  planned: number
  out: number
  /** Open slots. */
  open: number
  byShow: { title: string; count: number }[]
  byForm: { title: string; count: number }[]
}

function counted(names: readonly string[]): { title: string; count: number }[] {
  const by = new Map<string, number>()
  for (const n of names) by.set(n, (by.get(n) ?? 0) + 1)
  return [...by].map(([title, count]) => ({ title, count })).sort((a, b) => b.count - a.count)
}

/** The releases of a month counted, planned and out, by show and by kind of episode. */
export function monthCounts(
  releases: readonly Card[],
  open: number,
  formOf: (card: Card) => string | undefined,
): MonthCounts {
  const out = releases.filter((c) => c.episode.phase.kind === 'released').length
  return {
    out,
    planned: releases.length - out,
    open,
    byShow: counted(releases.map((c) => c.show.title)),
    byForm: counted(releases.flatMap((c) => formOf(c) ?? [])),
  }
}

/**
 * A month's counts in words, with the minutes planned of those given from today on; nothing of what is none. `narrowed`:
 * the counts are of some releases, the minutes of all work still.
 */
export function sayCounts(
  { planned, out, open, byShow, byForm }: MonthCounts,
  work: number,
  given: number,
  narrowed = false,
): string {
  const say = (row: MonthCounts['byShow']) => row.map((s) => `${s.title} ${s.count}`).join(', ')
  const parts = [byShow.length > 1 ? say(byShow) : '', say(byForm)].filter(Boolean)
  const shows = parts.length > 0 ? ` (${parts.join('; ')})` : ''
  const releases = [out > 0 ? `${out} out` : '', planned > 0 ? `${planned} planned` : '']
    .filter(Boolean)
    .join(', ')
  return [
    releases === '' ? '' : `${releases}${shows}`,
    open === 0 ? '' : `${open} ${open === 1 ? 'slot' : 'slots'} open`,
    given === 0 ? '' : `${sayMinutes(work)} of ${narrowed ? 'all ' : ''}work in ${sayMinutes(given)}`,
  ]
    .filter(Boolean)
    .join(' · ')
}
