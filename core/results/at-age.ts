import type { Episode, Figure, FigureName } from '../records'

/** How far a counted age may be from the one that is asked for, as a share of it (`engine` 16). */
const near = 0.2

/**
 * The figures that speak for an episode as a whole, by age: those of everywhere, where there are none those of the outlet
 * that has most.
 */
export function wholeFigures({ figures }: Pick<Episode, 'figures'>): Figure[] {
  const known = whole.get(figures)
  if (known) return known
  const found = chosenFigures(figures)
  whole.set(figures, found)
  return found
}
/** Records are never changed in place: what follows from a list of figures holds as long as that list. */
const whole = new WeakMap<readonly Figure[], Figure[]>()

function chosenFigures(figures: readonly Figure[]): Figure[] {
  const by = new Map<string, Figure[]>()
  for (const f of figures) by.set(f.outlet ?? '', [...(by.get(f.outlet ?? '') ?? []), f])
  const most = [...by].sort(([a, x], [b, y]) => y.length - x.length || (a < b ? -1 : 1))[0]
  return [...(by.get('') ?? most?.[1] ?? [])].sort((a, b) => a.age - b.age)
}

/**
 * What was counted of an episode at an age (days): as it was counted there; between two counts interpolated in the
 * logarithm; else the nearest within a fifth of that age, and never anything beyond the last (`engine` 16). Nothing where
 * that says nothing.
 */
export function countedAt(
  of: Pick<Episode, 'figures'>,
  age: number,
  what: FigureName = 'views',
): number | undefined {
  const points = wholeFigures(of).flatMap((f) => {
    const value = f[what]
    return value === undefined ? [] : [{ age: f.age, value }]
  })
  const before = points.findLast((p) => p.age <= age)
  const after = points.find((p) => p.age >= age)
  if (before && after) {
    if (before.age === after.age) return before.value
    const share = (age - before.age) / (after.age - before.age)
    const [low, high] = [Math.log1p(before.value), Math.log1p(after.value)]
    if (what === 'views' || what === 'watch' || what === 'impressions')
      return Math.expm1(low + (high - low) * share)
    return before.value + (after.value - before.value) * share
  }
  const nearest = before ?? after
  return nearest && Math.abs(nearest.age - age) <= near * age ? nearest.value : undefined
}

/** The last count of an episode's views, with its age; nothing where none was counted. */
export function lastViews(of: Pick<Episode, 'figures'>): { age: number; views: number } | undefined {
  const last = wholeFigures(of).findLast((f) => f.views !== undefined)
  return last?.views === undefined ? undefined : { age: last.age, views: last.views }
}
