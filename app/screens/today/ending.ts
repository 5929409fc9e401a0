import { endStep, tickStep } from '@core/commands/work'
import { addDays } from '@core/rhythm/days'
import { endedBy } from '@core/views/ending'
import type { StepIn } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { stepTicks } from '../episode/steps'
import type { Ending } from './keymap'

/** A step as it is to be ended: of one that is for today in part, the minutes of that part. */
export interface Ended extends StepIn {
  minutes?: number
  whole?: boolean
}

/** Ends steps of today, whole or the part that is for today. What ends by itself says what it still lacks. */
export function useEndings() {
  const library = useLibrary()
  const moment = useMoment()

  /** Ends it as one says, now or the day before; says what is missing where it ends only with that. */
  function endHere(step: Ended, took: Ending, yesterday = false): void {
    if (!mayEnd(step)) return
    void library.perform(endStep, {
      step: step.state.step.id,
      took,
      day: yesterday ? addDays(moment.today, -1) : undefined,
      part: step.whole === false ? step.minutes : undefined,
    })
  }
  /** Done, and nothing said of how long it took. */
  function tick(step: Ended): void {
    if (step.whole === false || step.state.step.logged > 0) endHere(step, 'as planned')
    else if (mayEnd(step)) void library.perform(tickStep, { step: step.state.step.id, done: true })
  }
  function mayEnd(step: Ended): boolean {
    if (step.whole === false || stepTicks(step.state.step)) return true
    library.say(endedBy(step), 'refused')
    return false
  }
  return { endHere, tick }
}
