import type { Episode, Id, Moment, Recipe, Script, Step } from '../records'

/**
 * A step's id for a recipe's line: the same episode and line always give the same id, which makes applying
 * idempotent.
 */
export function stepId(episode: Id, line: Id): Id {
  return `${episode}/${line}`
}

/**
 * The steps that a recipe would add to an episode which has `present` ones: those of lines without a step
 * yet.
 */
export function stepsToAdd(recipe: Recipe, episode: Id, present: Iterable<Step>, at: Moment): Step[] {
  const have = new Set<Id>()
  let order = 0
  for (const step of present) {
    if (step.line !== undefined) have.add(step.line)
    order = Math.max(order, step.order + 1)
  }
  return recipe.lines
    .filter((line) => !have.has(line.id))
    .map((line, i) => ({
      id: stepId(episode, line.id),
      episode,
      line: line.id,
      stage: line.stage,
      name: line.name,
      kind: line.kind,
      minutes: line.minutes,
      logged: 0,
      lead: line.lead.kind === 'ahead' ? { ...line.lead, step: stepId(episode, line.lead.step) } : line.lead,
      needs: line.needs.map((need) => stepId(episode, need)),
      owner: line.owner ?? 'me',
      required: line.required,
      ...(line.part === undefined ? {} : { part: line.part }),
      blocks: [],
      order: order + i,
      createdAt: at,
      updatedAt: at,
    }))
}

/** An empty script with the recipe's sections, one blank beat in each. */
export function scriptFrom(recipe: Recipe, episode: Pick<Episode, 'id'>, at: Moment): Script {
  return {
    id: episode.id,
    sections: recipe.outline.map((o) => ({
      id: `${episode.id}/${o.id}`,
      title: o.title,
      beats: [{ id: `${episode.id}/${o.id}/1`, delivery: 'camera', text: '', hold: 0, cues: [] }],
    })),
    createdAt: at,
    updatedAt: at,
  }
}
