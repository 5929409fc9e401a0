import { sum } from 'd3-array'
import type { Day, Episode, Material } from '../records'
import { daysBetween, sayDay } from '../rhythm/days'
import type { EpisodeProgress } from './progress'

/** How something that is needed stands, in a few words: “ordered, expected Thu 3 Dec”. */
export function sayMaterial({ stand, expected }: Material, today: Day): string {
  if (stand === 'here') return 'here'
  return expected === undefined ? stand : `${stand}, expected ${sayDay(expected, today)}`
}

/** The day on which an episode is filmed: the first on which its filming lies in the plan, else when that is due. */
export function filmingDay(
  { stages }: Pick<EpisodeProgress, 'stages'>,
  laid: (step: string) => Day | undefined,
): Day | undefined {
  const all = stages.find((s) => s.stage.kind === 'film')?.steps.filter((s) => s.left) ?? []
  // What is prepared for it is not yet filming.
  const shooting = all.filter(({ step: { kind } }) => kind === 'film' || kind === 'record')
  const steps = shooting.length > 0 ? shooting : all
  const days = steps.flatMap((s) => laid(s.step.id) ?? [])
  const due = steps.flatMap((s) => s.due ?? [])
  return [...(days.length > 0 ? days : due)].sort()[0]
}

/** Something that comes too late: for when it is needed, and by how many days. */
export interface LateMaterial {
  material: Material
  needed: Day
  days: number
}

/**
 * What is not here and comes too late: it is expected after the day on which it is needed (its own, else the day of
 * filming), or that day is past. The latest first.
 */
export function lateMaterials(
  { materials = [] }: Pick<Episode, 'materials'>,
  filming: Day | undefined,
  today: Day,
): LateMaterial[] {
  return materials
    .flatMap((material) => {
      const needed = material.by ?? filming
      if (material.stand === 'here' || needed === undefined) return []
      const comes = material.expected !== undefined && material.expected > today ? material.expected : today
      const days = daysBetween(needed, comes)
      return days > 0 ? [{ material, needed, days }] : []
    })
    .sort((a, b) => b.days - a.days)
}

/** What materials come to: all, and what of it is still to be bought; of those whose price is known. */
export function costOf({ materials = [] }: Pick<Episode, 'materials'>): {
  sum: number
  open: number
  unpriced: number
} {
  return {
    sum: sum(materials, (m) => m.price ?? 0),
    open: sum(materials, (m) => (m.stand === 'wanted' ? (m.price ?? 0) : 0)),
    unpriced: materials.filter((m) => m.price === undefined).length,
  }
}
