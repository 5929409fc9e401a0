import type { Day, Episode, Id, Keyword } from '../records'
import { daysBetween } from '../rhythm/days'

const cut = (n: number) => Math.min(1, Math.max(0, n))

/**
 * A keyword's opportunity, 0 to 100 (`engine` 7): 100 · d · (1 − c), with d = log10(1 + searches a month) /
 * 6 and c = log10(1 + competing results) / 8, both cut to 0–1. Nothing while a figure is missing.
 */
export function opportunityOf(keyword: Pick<Keyword, 'searches' | 'competing'>): number | undefined {
  if (keyword.searches === undefined || keyword.competing === undefined) return undefined
  return 100 * cut(Math.log10(1 + keyword.searches) / 6) * (1 - cut(Math.log10(1 + keyword.competing) / 8))
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
  opportunity: number | undefined
  made: Episode[]
  planned: Episode[]
  is: 'covered' | 'planned' | 'open'
  old: boolean
}

/** Every keyword with what is made and planned on it. Linear in keywords and episodes. */
export function coverOf(keywords: Iterable<Keyword>, episodes: Iterable<Episode>, today: Day): Cover[] {
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
  return [...keywords].map((keyword) => {
    const { made, planned } = by.get(keyword.id) ?? { made: [], planned: [] }
    return {
      keyword,
      opportunity: opportunityOf(keyword),
      made,
      planned,
      is: made.length > 0 ? 'covered' : planned.length > 0 ? 'planned' : 'open',
      old: isOld(keyword, today),
    }
  })
}
