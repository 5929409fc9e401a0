import type { Id, Recipe } from '../records'

/**
 * Where an episode should stand: the days before its release by which each stage should be done, in the
 * recipe's order. Stages without steps take their neighbour's day.
 */
export function rampOf(recipe: Recipe): { stage: Id; name: string; days: number }[] {
  const stages = recipe.stages.filter((s) => s.kind !== 'after')
  let before = Infinity
  return stages.map((stage) => {
    const leads = recipe.lines
      .filter((l) => l.stage === stage.id && l.lead.kind === 'before')
      .map((l) => (l.lead.kind === 'before' ? l.lead.days : 0))
    const own =
      leads.length > 0
        ? Math.min(...leads)
        : before === Infinity
          ? Math.max(0, ...recipe.lines.map((l) => (l.lead.kind === 'before' ? l.lead.days : 0)))
          : before
    // Building on one another, no stage is done before the one it follows in the row.
    before = Math.min(before, own)
    return { stage: stage.id, name: stage.name, days: before }
  })
}

/**
 * Cards laid in rows so that none lies over another: the lane of each, by its left and right edges; at most
 * `most` lanes, then nothing (a pin).
 */
export function lanesOf(
  cards: readonly { id: string; from: number; to: number }[],
  most: number,
): Map<string, number | undefined> {
  const ends: number[] = []
  const lanes = new Map<string, number | undefined>()
  for (const card of cards) {
    let lane = ends.findIndex((end) => end <= card.from)
    if (lane < 0) lane = ends.length
    if (lane >= most) {
      lanes.set(card.id, undefined)
      continue
    }
    ends[lane] = card.to
    lanes.set(card.id, lane)
  }
  return lanes
}
