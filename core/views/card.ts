import type { Working } from '../plan/state'
import type { StepState } from '../recipe/progress'
import type { Day, Show } from '../records'
import type { Slot } from '../rhythm/slots'

/** An episode with all that is derived of it, as screens show it. */
export interface Card extends Working {
  title: string
  /** `#42`, `HH 19`, or the permanent code while there is no number. */
  number: string
}

/** A step with its episode. */
export interface StepIn {
  card: Card
  state: StepState
}

/** One row of the schedule: a slot or a release of its own, with its episode where it has one. */
export interface SlotRow {
  key: string
  day: Day
  time: string
  at: number
  show: Show
  slot: Slot | undefined
  card: Card | undefined
  number: number | undefined
}
