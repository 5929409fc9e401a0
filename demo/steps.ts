import type { Day, Id, Recipe, Step } from '@core/records'
import { stepsToAdd } from '@core/recipe/apply'
import { addDays } from '@core/rhythm/days'
import type { Chance } from './chance'
import { waitingSince } from './made'
import type { Progress } from './progress'

/** What an episode's steps are made from: how far it is, when its work ended, and whether it is out. */
interface StepsOf {
  recipe: Recipe
  id: Id
  progress: Progress
  past: boolean
  ended: Day
  today: Day
  chance: Chance
  moment: (day: Day) => string
}

/** The steps of an episode by its recipe, as far as they are done, with what they took. */
export function demoSteps({ recipe, id, progress, past, ended, today, chance, moment }: StepsOf): Step[] {
  return stepsToAdd(recipe, id, [], moment(addDays(ended, -30))).map((step): Step => {
    const line = step.line ?? ''
    const lead = step.lead.kind === 'before' ? step.lead.days : 0
    const follows = past && step.lead.kind === 'after' ? addDays(ended, step.lead.days) : undefined
    const answered = follows !== undefined && follows < today
    const done = progress.done.includes(line)
    return {
      ...step,
      logged: done
        ? Math.max(5, Math.round((step.minutes * 1.15 * chance.about(0.3)) / 5) * 5)
        : answered
          ? step.minutes
          : (progress.logged?.[line] ?? 0),
      ...(done || answered
        ? { doneAt: moment(follows ?? addDays(ended, -Math.max(1, Math.min(lead, 20)))) }
        : {}),
      ...(progress.waiting?.line === line ? { waiting: waitingSince(progress.waiting, today) } : {}),
    }
  })
}
