import type { Episode, Id, Moment, Part, Recipe, Stage, Step, StepKind } from '../records'

/** Minutes that bringing a part takes before anything was learnt of it. */
export const partMinutes: Readonly<Record<Part, number>> = {
  brief: 20,
  title: 20,
  script: 120,
  shots: 30,
  length: 5,
  picture: 30,
  thumbnail: 45,
  description: 25,
  tags: 5,
  chapters: 5,
  links: 5,
  keyword: 5,
}

/** Minutes that mending a part takes which is there and refused by an outlet. */
const mendMinutes = 5

const acts: Record<Part, { name: string; kind: StepKind }> = {
  brief: { name: 'Settle the brief', kind: 'write' },
  title: { name: 'Choose the title', kind: 'write' },
  script: { name: 'Write the script', kind: 'write' },
  shots: { name: 'Get the shots', kind: 'film' },
  length: { name: 'Note the length', kind: 'admin' },
  picture: { name: 'Make the pictures', kind: 'design' },
  thumbnail: { name: 'Make the thumbnail', kind: 'design' },
  description: { name: 'Write the description', kind: 'write' },
  tags: { name: 'Choose the tags', kind: 'admin' },
  chapters: { name: 'Set the chapters', kind: 'admin' },
  links: { name: 'List the links', kind: 'admin' },
  keyword: { name: 'Choose a keyword', kind: 'admin' },
}

/** The place of a part among those that come behind an episode's steps. */
const places: ReadonlyMap<string, number> = new Map(Object.keys(acts).map((part, i) => [part, i]))

/**
 * The id of the work that brings a part which no step brings: the same episode and part always give the
 * same.
 */
export function partStepId(episode: Id, part: Part): Id {
  return `${episode}/part/${part}`
}

/** The episode and part of such an id; nothing for the id of another step. */
export function partOfStep(id: Id): { episode: Id; part: Part } | undefined {
  const at = id.lastIndexOf('/part/')
  const part = id.slice(at + 6)
  return at >= 0 && isPart(part) ? { episode: id.slice(0, at), part } : undefined
}

function isPart(text: string): text is Part {
  return Object.hasOwn(acts, text)
}

/** The stage that work on parts belongs to: the release's, else the last one before it. */
function stageOf(recipe: Recipe): Stage | undefined {
  return (
    recipe.stages.find((s) => s.kind === 'release') ?? recipe.stages.filter((s) => s.kind !== 'after').at(-1)
  )
}

/**
 * What else must be done before a part can be brought: a thumbnail needs what its stage builds on, chapters
 * and length the edit, shots the script.
 */
function needsOf(part: Part, recipe: Recipe, steps: readonly Step[]): Id[] {
  const stages =
    part === 'thumbnail' || part === 'picture'
      ? (recipe.stages.find((s) => s.kind === 'thumbnail')?.after ?? [])
      : part === 'chapters' || part === 'length'
        ? recipe.stages.filter((s) => s.kind === 'edit').map((s) => s.id)
        : part === 'shots'
          ? recipe.stages.filter((s) => s.kind === 'script').map((s) => s.id)
          : []
  if (stages.length === 0) return []
  return steps.filter((s) => s.required && stages.includes(s.stage)).map((s) => s.id)
}

/**
 * What a step that brings a part is made from. `steps` are the episode's own; `minutes` what it takes by
 * what was learnt.
 */
export interface PartStepOf {
  episode: Pick<Episode, 'id'>
  kind: 'video' | 'audio'
  recipe: Recipe
  steps: readonly Step[]
  at: Moment
  failing?: boolean | undefined
  minutes?: number | undefined
}

/**
 * The step that brings a part which an outlet requires and no step of the recipe brings. It is derived, due
 * with the release's stage, and completes itself when the part is there; it becomes a record only when
 * something is written of it (a timer, a day).
 */
export function partStep(part: Part, of: PartStepOf): Step {
  const stage = stageOf(of.recipe)
  const lead = of.recipe.lines.reduce(
    (most, l) => (l.stage === stage?.id && l.lead.kind === 'before' ? Math.max(most, l.lead.days) : most),
    0,
  )
  const { name, kind } = acts[part]
  return {
    id: partStepId(of.episode.id, part),
    episode: of.episode.id,
    stage: stage?.id ?? 'release',
    name: part === 'thumbnail' && of.kind === 'audio' ? 'Make the cover' : name,
    kind: part === 'shots' && of.kind === 'audio' ? 'record' : kind,
    minutes: of.failing ? mendMinutes : (of.minutes ?? partMinutes[part]),
    logged: 0,
    lead: { kind: 'before', days: lead },
    needs: needsOf(part, of.recipe, of.steps),
    owner: 'me',
    required: true,
    part,
    blocks: [],
    order: of.steps.reduce((last, s) => Math.max(last, s.order + 1), 0) + (places.get(part) ?? 0) / 100,
    createdAt: of.at,
    updatedAt: of.at,
  }
}
