import { median } from 'd3-array'
import type { Day, Part, Settings, Step, StepKind, Zone } from '../records'
import { dayIn } from '../rhythm/creator'
import { addDays } from '../rhythm/days'

/**
 * How long work takes against its estimate: the logarithm's mean and spread of actual over estimated
 * minutes.
 */
export interface KindPace {
  /** Median of actual / estimate. */
  median: number
  /** Standard deviation of the logarithm. */
  sigma: number
  /** How many finished steps it was learnt from. */
  seen: number
}

/**
 * What is believed before anything is known: median 1.15, sigma 0.45, worth four observations (`engine` 5).
 */
export const prior = { median: 1.15, sigma: 0.45, worth: 4 } as const

/** The share of days that are lost before anything is known. */
export const lostPrior = 0.04

/**
 * The pace of some finished steps with logged minutes, the prior mixed in as if it were four more of them.
 * The spread is pooled from the prior's and the seen ones' about the mixed mean.
 */
export function paceOf(steps: Iterable<Pick<Step, 'minutes' | 'logged' | 'doneAt'>>): KindPace {
  const logs: number[] = []
  for (const s of steps)
    if (s.doneAt !== undefined && s.logged > 0 && s.minutes > 0) logs.push(Math.log(s.logged / s.minutes))
  const mean =
    (prior.worth * Math.log(prior.median) + logs.reduce((a, b) => a + b, 0)) / (prior.worth + logs.length)
  const spread =
    prior.worth * (prior.sigma ** 2 + (Math.log(prior.median) - mean) ** 2) +
    logs.reduce((a, l) => a + (l - mean) ** 2, 0)
  return { median: Math.exp(mean), sigma: Math.sqrt(spread / (prior.worth + logs.length)), seen: logs.length }
}

/** How many days the belief about lost ones is worth. */
const lostWorth = 25

/** What is known of lost days: their share, and how many days with work laid on them it was learnt from. */
export interface Lost {
  share: number
  lost: number
  seen: number
}

/**
 * The share of days that are lost, learnt from planned against done over the last 180 days: a day on which
 * work was laid counts as kept where any was done or worked on that day, else as lost; days that were
 * declared lost count too. The prior is mixed in as 25 more days.
 */
export function lostOf(
  steps: Iterable<Pick<Step, 'blocks' | 'worked' | 'doneAt'>>,
  settings: Pick<Settings, 'exceptions' | 'hours'> | undefined,
  today: Day,
  zone: Zone = 'UTC',
): Lost {
  const from = addDays(today, -180)
  const laid = new Set<Day>()
  const kept = new Set<Day>()
  for (const s of steps) {
    const done = s.doneAt === undefined ? undefined : dayIn(s.doneAt, zone)
    // What was done before its day asked nothing of it.
    for (const b of s.blocks)
      if (b.day >= from && b.day < today && (done === undefined || done >= b.day)) laid.add(b.day)
    for (const [day, minutes] of Object.entries(s.worked ?? {})) if (minutes > 0) kept.add(day)
    if (done !== undefined) kept.add(done)
  }
  for (const [day, minutes] of Object.entries(settings?.exceptions ?? {}))
    if (minutes === 0 && day >= from && day < today) laid.add(day)
  const lost = [...laid].filter((d) => !kept.has(d)).length
  return { share: (lostWorth * lostPrior + lost) / (lostWorth + laid.size), lost, seen: laid.size }
}

/** The pace of each kind of step. */
export function pacesOf(steps: Iterable<Step>): Map<StepKind, KindPace> {
  const by = new Map<StepKind, Step[]>()
  for (const s of steps) {
    const row = by.get(s.kind)
    if (row) row.push(s)
    else by.set(s.kind, [s])
  }
  return new Map([...by].map(([kind, mine]) => [kind, paceOf(mine)]))
}

/** How many finished steps it takes to know how long bringing a part takes. */
const partCases = 3

/** Minutes that bringing each part took, the middle one of those logged, where at least three are known. */
export function partMinutesOf(
  steps: Iterable<Pick<Step, 'part' | 'logged' | 'doneAt'>>,
): Partial<Record<Part, number>> {
  const by = new Map<Part, number[]>()
  for (const { part, logged, doneAt } of steps)
    if (part !== undefined && logged > 0 && doneAt !== undefined)
      by.set(part, [...(by.get(part) ?? []), logged])
  const known: Partial<Record<Part, number>> = {}
  for (const [part, all] of by) if (all.length >= partCases) known[part] = Math.round(median(all) ?? 0)
  return known
}
