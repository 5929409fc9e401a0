import { ascending } from 'd3-array'
import type { DayFigures } from './day'
import type { Day } from '../records'
import type { StageState } from '../recipe/progress'
import { sayDay } from '../rhythm/days'
import { sayMinutes } from '../script/timecode'
import { isOthers } from '../plan/work'
import type { Card, StepIn } from './card'

/** A step that is due before something on Today, or by today, and is not on it; with why, in words. */
export interface NotToday extends StepIn {
  why: string
}

/** What is passed over today is known from this: the steps on Today, and what its hours are. */
export interface NotTodayOf {
  today: Day
  dated: readonly Card[]
  /** Steps on Today, in whatever list. */
  on: ReadonlySet<string | undefined>
  /** The latest due date among the work of the day. */
  latest: Day
  figures: DayFigures
}

/** Steps that go in one sitting. */
const sittings: ReadonlySet<string> = new Set(['film', 'record'])

/** Why a stage cannot be begun, where its steps need nothing more; '' where it can. */
function holdOf(stage: StageState | undefined): string {
  const part = stage?.unsettled[0]
  if (part) return `needs the ${part.name.toLowerCase()} first`
  return stage?.items.some((i) => i.kind === 'material') ? 'its materials aren’t here yet' : ''
}

function whyNot({ card, state }: StepIn, { today, figures }: NotTodayOf): string {
  const { step, earliest, minutesLeft } = state
  if (earliest !== undefined && earliest > today) return `can’t start before ${sayDay(earliest)}`
  const hold = holdOf(card.standing.stages.find((s) => s.stage.id === step.stage))
  if (!state.free && hold !== '') return hold
  const laid = step.blocks.filter((b) => b.day > today).map((b) => b.day)
  const [first] = laid.sort(ascending)
  if (first !== undefined) return `scheduled for ${sayDay(first)}`
  if (figures.whole === 0) return 'no hours today'
  if (sittings.has(step.kind) && minutesLeft > figures.left)
    return `takes ${sayMinutes(minutesLeft)} in one go; ${sayMinutes(figures.left)} are left today`
  return 'no room left today'
}

/**
 * What is passed over today though it is due by then or before something that is done today, the first due first: each
 * with why. What waits on others, and what only needs a step that is on Today or passed over itself, is not named again.
 */
export function notToday(of: NotTodayOf): NotToday[] {
  const { today, dated, on, latest } = of
  const until = latest > today ? latest : today
  return dated
    .flatMap((card) => card.standing.steps.map((state): StepIn => ({ card, state })))
    .filter(({ state: { step, left, due, needs, free }, card }) => {
      if (!left || !step.required || due === undefined || on.has(step.id) || isOthers(step)) return false
      if (due > until) return false
      return free || !card.standing.steps.some((s) => s.left && needs.includes(s.step.id))
    })
    .map((found) => ({ ...found, why: whyNot(found, of) }))
    .sort((a, b) => ascending(a.state.due, b.state.due))
}
