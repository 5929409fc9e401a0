import type { Day, Id } from '../records'
import type { StepState } from '../recipe/progress'
import { sayDay } from '../rhythm/days'
import type { Card } from './card'

/** A late step, and what holds it. */
export interface Lateness {
  id: Id
  name: string
  /** Days. */
  late: number
  due: Day
  held: string
}

/** What holds a step: who it waits on, what it needs, who has it, or the hours. */
function heldBy(s: StepState, needs: readonly StepState[], end: Day | undefined, today: Day): string {
  if (s.step.waiting) return `waits on ${s.step.waiting.who} since ${sayDay(s.step.waiting.since)}`
  if (needs.length > 0) return `needs ${needs.map((n) => `“${n.step.name}”`).join(' and ')} first`
  if (s.step.owner !== 'me') return `${s.step.owner} has it`
  if (end === undefined) return 'finds no room in your hours'
  return end === today
    ? 'nothing holds it; it is laid on today'
    : `your hours have room for it ${sayDay(end)}`
}

/** Why an episode is late: its three latest steps, with what holds each. `ends` are the days on which steps end. */
export function whyLate(card: Card, ends: ReadonlyMap<Id, Day>, today: Day): Lateness[] {
  const { steps, late } = card.standing
  if (late === undefined) return []
  return steps
    .filter((s) => s.late && s.step.required && s.step.lead.kind !== 'after')
    .sort((a, b) => (b.late ?? 0) - (a.late ?? 0))
    .slice(0, 3)
    .map((s) => ({
      id: s.step.id,
      name: s.step.name,
      late: s.late ?? 0,
      due: s.due ?? '',
      held: heldBy(
        s,
        s.step.needs.flatMap((n) => steps.filter((x) => x.step.id === n && !x.done)),
        ends.get(s.step.id),
        today,
      ),
    }))
}
