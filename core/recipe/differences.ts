import type { Episode, Id, Lead, Recipe, RecipeLine, Step } from '../records'
import { stepId } from './apply'

/** One way in which an episode in work differs from its recipe as it has become, to take or to leave. */
export type Difference = { key: string; episode: Id; name: string; says: string } & (
  | { kind: 'more'; line: RecipeLine }
  | { kind: 'other'; line: RecipeLine; step: Step }
  | { kind: 'gone'; step: Step }
)

function sayLead(lead: Lead, named: (id: Id) => string): string {
  switch (lead.kind) {
    case 'before':
      return `${lead.days} d before release`
    case 'after':
      return `${lead.days} d after release`
    case 'ahead':
      return `${lead.days} d before ${named(lead.step)}`
  }
}

/** A line's lead and needs as one episode's step has them: by the ids of its steps. */
export function lineFor(line: RecipeLine, episode: Id): Pick<Step, 'lead' | 'needs'> {
  return {
    lead: line.lead.kind === 'ahead' ? { ...line.lead, step: stepId(episode, line.lead.step) } : line.lead,
    needs: line.needs.map((n) => stepId(episode, n)),
  }
}

const owner = (who: string | undefined) => (who === undefined || who === 'me' ? 'you' : who)

/**
 * What a changed recipe would change in one episode in work: lines it lacks, open steps whose line changed
 * since they were made (or since that change was taken or left), and open steps whose line is gone. What
 * was taken or left is not offered again, so that taking twice doubles nothing.
 */
export function differencesOf(recipe: Recipe, episode: Episode, steps: readonly Step[]): Difference[] {
  const left = new Set(episode.left)
  const named = (id: Id) =>
    `“${recipe.lines.find((l) => l.id === id)?.name ?? steps.find((s) => s.id === id)?.name ?? id}”`
  const stage = (id: Id) => recipe.stages.find((s) => s.id === id)?.name ?? 'a stage that is gone'
  const byLine = new Map(steps.flatMap((s) => (s.line === undefined ? [] : [[s.line, s] as const])))
  const list: Difference[] = []
  for (const line of recipe.lines) {
    const step = byLine.get(line.id)
    if (!step) {
      if (!left.has(line.id))
        list.push({
          key: `more ${episode.id} ${line.id}`,
          episode: episode.id,
          kind: 'more',
          line,
          name: line.name,
          says: `new in ${stage(line.stage)}, ${line.minutes} min, due ${sayLead(line.lead, named)}`,
        })
      continue
    }
    if (
      step.doneAt !== undefined ||
      line.changedAt === undefined ||
      line.changedAt <= (step.asOf ?? step.createdAt)
    )
      continue
    const fresh = lineFor(line, episode.id)
    const says = [
      step.name === line.name ? '' : `called “${line.name}”`,
      step.minutes === line.minutes ? '' : `${line.minutes} min instead of ${step.minutes}`,
      step.stage === line.stage ? '' : `in ${stage(line.stage)} instead of ${stage(step.stage)}`,
      step.kind === line.kind ? '' : `${line.kind} instead of ${step.kind}`,
      JSON.stringify(step.lead) === JSON.stringify(fresh.lead)
        ? ''
        : `due ${sayLead(line.lead, named)} instead of ${sayLead(step.lead, named)}`,
      [...step.needs].sort().join() === [...fresh.needs].sort().join()
        ? ''
        : line.needs.length === 0
          ? 'needs nothing now'
          : `needs ${line.needs.map(named).join(', ')}`,
      owner(step.owner) === owner(line.owner)
        ? ''
        : `by ${owner(line.owner)} instead of ${owner(step.owner)}`,
      step.required === line.required ? '' : line.required ? 'required now' : 'no longer required',
      step.part === line.part
        ? ''
        : line.part === undefined
          ? 'ticked by hand'
          : `completed by the ${line.part}`,
    ].filter(Boolean)
    if (says.length > 0)
      list.push({
        key: `other ${step.id} ${line.changedAt}`,
        episode: episode.id,
        kind: 'other',
        line,
        step,
        name: step.name,
        says: says.join(', '),
      })
  }
  const lines = new Set(recipe.lines.map((l) => l.id))
  for (const step of steps)
    if (step.line !== undefined && !lines.has(step.line) && step.doneAt === undefined && !left.has(step.id))
      list.push({
        key: `gone ${step.id}`,
        episode: episode.id,
        kind: 'gone',
        step,
        name: step.name,
        says:
          step.logged > 0
            ? `no longer in the recipe; ${step.logged} min of it are done`
            : 'no longer in the recipe',
      })
  return list
}
