import { bisectLeft, bisectRight, group, median } from 'd3-array'
import type { Day, Episode, Id, Keyword } from '../records'
import { daysBetween } from '../rhythm/days'

const cut = (n: number) => Math.min(1, Math.max(0, n))

/** A keyword's figures where both are known. */
type Measured = Keyword & { searches: number; competing: number }

function isMeasured(keyword: Keyword): keyword is Measured {
  return keyword.searches !== undefined && keyword.competing !== undefined
}

/** How good a keyword is to make something on, 0 to 100. */
export interface Opportunity {
  value: number
  /** How many times as often it is searched as keywords of its show with as many results; only where that is known. */
  times?: number
}

/** So many keywords with both figures a show needs, for them to be told apart by each other. */
export const enough = 8

/** The figure by figures alone (`engine` 7): 100 · d · (1 − c), logarithms of searches and results cut to 0–1. */
export function roughOpportunity({ searches, competing }: Pick<Measured, 'searches' | 'competing'>): number {
  return 100 * cut(Math.log10(1 + searches) / 6) * (1 - cut(Math.log10(1 + competing) / 8))
}

/** At most so many points are compared in pairs; of more, as many evenly spaced ones. */
const mostPairs = 400

/** The slope of a line through points that few far ones cannot turn: the median of all pairs' slopes (Theil-Sen). */
function slopeOf(points: readonly { x: number; y: number }[]): number {
  const every = Math.max(1, points.length / mostPairs)
  const some = points.filter((_, i) => Math.floor(i / every) !== Math.floor((i - 1) / every))
  const slopes = some.flatMap((p, i) =>
    some.slice(i + 1).flatMap((q) => (p.x === q.x ? [] : [(q.y - p.y) / (q.x - p.x)])),
  )
  return median(slopes) ?? 0
}

/** Of each figure, the share of the others below it, ties by half. */
function ranksOf(figures: readonly number[]): number[] {
  const sorted = [...figures].sort((a, b) => a - b)
  return figures.map((f) => {
    const below = bisectLeft(sorted, f)
    const same = bisectRight(sorted, f) - below - 1
    return figures.length < 2 ? 0.5 : (below + same / 2) / (figures.length - 1)
  })
}

/** The opportunities of one show's keywords, told apart by each other (`engine` 7b); under eight, roughly. */
function opportunitiesAmong(keywords: readonly Measured[]): Map<Id, Opportunity> {
  if (keywords.length < enough) return new Map(keywords.map((k) => [k.id, { value: roughOpportunity(k) }]))
  const points = keywords.map((k) => ({ x: Math.log10(1 + k.competing), y: Math.log10(1 + k.searches) }))
  const slope = slopeOf([...points].sort((p, q) => p.x - q.x || p.y - q.y))
  const level = median(points, (p) => p.y - slope * p.x) ?? 0
  const leads = points.map((p) => p.y - (level + slope * p.x))
  const [byLead, bySearches] = [ranksOf(leads), ranksOf(points.map((p) => p.y))]
  return new Map(
    keywords.map((k, i) => [
      k.id,
      { value: 50 * ((byLead[i] ?? 0) + (bySearches[i] ?? 0)), times: 10 ** (leads[i] ?? 0) },
    ]),
  )
}

const known = new WeakMap<ReadonlyMap<Id, Keyword>, ReadonlyMap<Id, Opportunity>>()

/** The opportunity of every keyword that has both figures, each among those of its show. Kept by the map. */
export function opportunitiesIn(keywords: ReadonlyMap<Id, Keyword>): ReadonlyMap<Id, Opportunity> {
  let found = known.get(keywords)
  if (!found) {
    const byShow = group([...keywords.values()].filter(isMeasured), (k) => k.show)
    found = new Map([...byShow.values()].flatMap((row) => [...opportunitiesAmong(row)]))
    known.set(keywords, found)
  }
  return found
}

/** An opportunity in words. */
export function sayOpportunity({ value, times }: Opportunity): string {
  if (times === undefined) return `an opportunity of ${Math.round(value)}, roughly`
  const often =
    times >= 9.5
      ? `${Math.round(times)} times as much as`
      : times >= 1.05
        ? `${times.toFixed(1)} times as much as`
        : times > 0.95
          ? 'as much as'
          : `${times.toFixed(1)} times as much as`
  return `searched ${often} keywords with as many results`
}

/** After so many days a figure is marked as old. */
export const oldAfter = 180

/** Whether a keyword's figures are older than half a year, or of no known age. */
export function isOld(keyword: Keyword, today: Day): boolean {
  if (keyword.searches === undefined && keyword.competing === undefined) return false
  return keyword.measured === undefined || daysBetween(keyword.measured, today) > oldAfter
}

/** A keyword with the episodes on it: released ones cover it, the others plan it. */
export interface Cover {
  keyword: Keyword
  opportunity: Opportunity | undefined
  made: Episode[]
  planned: Episode[]
  is: 'covered' | 'planned' | 'open'
  old: boolean
}

/** Every keyword with what is made and planned on it. Linear in keywords and episodes. */
export function coverOf(
  keywords: ReadonlyMap<Id, Keyword>,
  episodes: Iterable<Episode>,
  today: Day,
): Cover[] {
  const opportunities = opportunitiesIn(keywords)
  const by = new Map<Id, { made: Episode[]; planned: Episode[] }>()
  for (const e of episodes) {
    if (e.phase.kind === 'dropped') continue
    for (const id of e.idea.keywords) {
      const row = by.get(id) ?? { made: [], planned: [] }
      by.set(id, row)
      if (e.phase.kind === 'released') row.made.push(e)
      else row.planned.push(e)
    }
  }
  return [...keywords.values()].map((keyword) => {
    const { made, planned } = by.get(keyword.id) ?? { made: [], planned: [] }
    return {
      keyword,
      opportunity: opportunities.get(keyword.id),
      made,
      planned,
      is: made.length > 0 ? 'covered' : planned.length > 0 ? 'planned' : 'open',
      old: isOld(keyword, today),
    }
  })
}
