import type { Day, Episode, Id, Lead, Recipe, Stage, Step } from '../records'
import { agreedTimes, type AgreedTime } from '../partners/visits'
import { dayAt } from '../rhythm/zone'
import { noticeOf, type Notice } from './due'
import { inOrder, needsByStages, type Needing } from './needs'
import type { StandingOf } from './progress'

/** A step with what it needs, by itself and by its stage. */
export interface Dated extends Needing {
  lead: Lead
  /** It has a moment of its own, which short notice does not press. */
  fixed: boolean
  step: Step
  agreed: AgreedTime | undefined
}

/**
 * Steps in an order that their needs allow: their own, those of stages, and parts that must be settled
 * before a stage begins.
 */
export function dated(steps: readonly Step[], recipe: Recipe, visits: Pick<Episode, 'visits'>): Dated[] {
  const agreed = agreedTimes(visits, steps)
  const byStages = needsByStages(steps, recipe.stages)
  const settled = new Map(recipe.stages.map((s) => [s.id, s.settled ?? []]))
  const full = steps.map((step): Dated => {
    const asked = settled.get(step.stage) ?? []
    const bring =
      asked.length === 0
        ? []
        : steps.filter((s) => s.id !== step.id && s.part !== undefined && asked.includes(s.part))
    // What is made besides waits for nothing but what it says itself.
    const staged = byStages.get(step.id) ?? []
    const needs =
      step.spin !== undefined
        ? step.needs
        : bring.length === 0
          ? staged
          : [...new Set([...staged, ...bring.map((s) => s.id)])]
    const on = agreed.get(step.id)
    return {
      ...{ id: step.id, name: step.name, needs, lead: step.lead, step },
      ...{ fixed: step.spin !== undefined || on !== undefined, on: on?.day, agreed: on },
    }
  })
  const ordered = inOrder(full)
  if (ordered.ok) return ordered.value
  const plain = full.map((d) => ({ ...d, needs: d.step.needs }))
  const own = inOrder(plain)
  return own.ok ? own.value : plain
}

/**
 * For each stage that cannot be begun at any time: the days before release at the earliest, its own or
 * those of what it builds on, whichever is later in time.
 */
export function earliestBefore(stages: readonly Stage[], early: number | undefined): Map<Id, number> {
  const days = new Map<Id, number>()
  if (early === undefined && stages.every((s) => s.earliest === undefined)) return days
  const byId = new Map(stages.map((s) => [s.id, s]))
  const of = (stage: Stage, path: readonly Id[]): number | undefined => {
    const all = [
      early,
      stage.earliest,
      ...stage.after.flatMap((id) => {
        const before = byId.get(id)
        return before && !path.includes(id) ? of(before, [...path, id]) : undefined
      }),
    ].filter((n) => n !== undefined)
    return all.length === 0 ? undefined : Math.min(...all)
  }
  for (const s of stages) {
    const n = of(s, [s.id])
    if (n !== undefined) days.set(s.id, n)
  }
  return days
}

/** The notice on which an episode stands on its slot, where it is known since when; what was done by then counts not. */
export function noticeFor(
  row: readonly Dated[],
  { episode, show }: StandingOf,
  release: Day,
): Notice | undefined {
  const { placedOn } = episode
  if (placedOn === undefined) return undefined
  const open = new Set(
    row
      .filter(
        ({ step: { doneAt } }) => doneAt === undefined || dayAt(Date.parse(doneAt), show.zone) > placedOn,
      )
      .map((d) => d.id),
  )
  return noticeOf(row, open, placedOn, release)
}
