import type { Id, Lead, Recipe, RecipeLine } from '../records'

/**
 * A recipe's lines on the axis of days before release (negative: after it), stage by stage, as a plot draws
 * them.
 */
export interface Score {
  rows: (
    | {
        kind: 'stage'
        id: Id
        name: string
        /** Days before release by which the whole stage is due; none for one without steps before it. */ due:
          number | undefined
      }
    | { kind: 'line'; line: RecipeLine; days: number }
  )[]
  /** Needs as pairs of rows. */
  needs: { from: number; to: number }[]
  /** The most days before and after release. */
  before: number
  after: number
}

/**
 * The days before release at which a line is due; a lead on another line is counted from that one's. In a
 * circle, from the release.
 */
export function daysBefore(lines: readonly RecipeLine[], line: RecipeLine, path: readonly Id[] = []): number {
  const { lead } = line
  switch (lead.kind) {
    case 'before':
      return lead.days
    case 'after':
      return -lead.days
    case 'ahead': {
      const other = path.includes(line.id) ? undefined : lines.find((l) => l.id === lead.step)
      return lead.days + (other ? daysBefore(lines, other, [...path, line.id]) : 0)
    }
  }
}

/**
 * Lays a recipe out for drawing: rows in the order of its stages, due days pulled forward by what depends
 * on them.
 */
export function scoreOf(recipe: Pick<Recipe, 'stages' | 'lines'>): Score {
  const rows: Score['rows'] = []
  const at = new Map<Id, number>()
  for (const stage of recipe.stages) {
    const mine = recipe.lines.filter((l) => l.stage === stage.id)
    const before = mine.filter((l) => l.lead.kind !== 'after').map((l) => daysBefore(recipe.lines, l))
    rows.push({
      kind: 'stage',
      id: stage.id,
      name: stage.name,
      due: before.length === 0 ? undefined : Math.min(...before),
    })
    for (const line of mine) {
      at.set(line.id, rows.length)
      rows.push({ kind: 'line', line, days: daysBefore(recipe.lines, line) })
    }
  }
  const needs = recipe.lines.flatMap((l) =>
    l.needs.flatMap((n) => {
      const [from, to] = [at.get(n), at.get(l.id)]
      return from === undefined || to === undefined ? [] : [{ from, to }]
    }),
  )
  const days = rows.flatMap((r) => (r.kind === 'line' ? [r.days] : []))
  return { rows, needs, before: Math.max(7, ...days), after: Math.max(0, ...days.map((d) => -d)) }
}

/** A lead that makes a line due so many days before release (negative: after it), kept to the kind it is. */
export function leadAt(lines: readonly RecipeLine[], line: RecipeLine, days: number): Lead {
  const whole = Math.round(days)
  switch (line.lead.kind) {
    case 'before':
      return { kind: 'before', days: Math.min(365, Math.max(0, whole)) }
    case 'after':
      return { kind: 'after', days: Math.min(365, Math.max(0, -whole)) }
    case 'ahead': {
      const { step } = line.lead
      const other = lines.find((l) => l.id === step)
      return {
        kind: 'ahead',
        step,
        days: Math.min(365, Math.max(0, whole - (other ? daysBefore(lines, other) : 0))),
      }
    }
  }
}
