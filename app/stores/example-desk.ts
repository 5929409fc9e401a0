import { createPinia, setActivePinia } from 'pinia'
import { exampleNow } from '@core/examples'
import { inverse, reversible, withChanges, type Change, type Context } from '@core/commands/change'
import { withFollowOns } from '@core/commands/follow'
import type { Records } from '@core/records'
import { ok } from '@core/result'
import { useLibrary } from './library'
import { useMoment } from './moment'

/**
 * A desk without a browser: stores of their own, that see these records at the examples' moment. Test support; nothing is
 * kept, so a test puts something in the place of '@app/data/library'.
 */
export function exampleDesk(records: Records, now = exampleNow) {
  const pinia = createPinia()
  setActivePinia(pinia)
  const library = useLibrary()
  library.records = records
  library.state = 'open'
  library.stepsOf = (ids) =>
    Promise.resolve([...library.records.steps.values()].filter((s) => ids.includes(s.episode)))
  library.ensure = () => Promise.resolve()
  library.settled = () => Promise.resolve()
  const moment = useMoment()
  moment.now = now
  return {
    library,
    moment,
    /** From now on stores are this desk's: what is still under way of another one makes that one current. */
    makeCurrent: () => {
      setActivePinia(pinia)
    },
    /** The records as they are after something was done. */
    see: (next: Records) => {
      library.records = next
    },
  }
}

/**
 * A desk at which things are done: what is performed changes its records at once, with what follows from it. It keeps what
 * was said, what was refused, and can take everything back.
 */
export function deskThatDoes(records: Records, now = exampleNow) {
  const desk = exampleDesk(records, now)
  const { library, moment } = desk
  const done: Change[][] = []
  const said: string[] = []
  const refused: string[] = []
  let ids = 0
  const id = () => `new${++ids}`
  library.newId = id
  library.perform = (command, wish) => {
    const context: Context = { now: moment.now, id }
    const result = command(library.records, wish, context)
    if (!result.ok) {
      refused.push(result.problem.sentence)
      return Promise.resolve(result)
    }
    const outcome = withFollowOns(library.records, result.value, context)
    done.push(outcome.changes)
    said.push(outcome.sentence)
    desk.see(withChanges(library.records, outcome.changes))
    return Promise.resolve(ok(outcome))
  }
  library.look = (command, wish, before = []) => {
    const result = command(withChanges(library.records, before), wish, { now: moment.now, id })
    return result.ok ? result.value.changes : []
  }
  library.say = (text) => {
    said.push(text)
  }
  return {
    ...desk,
    said,
    refused,
    /** Minutes go by. */
    pass: (minutes: number) => {
      moment.now += minutes * 60_000
    },
    /** Takes the last thing back; false where there is none. */
    undo: () => {
      const last = done.pop()
      if (last) desk.see(withChanges(library.records, inverse(reversible(last))))
      return last !== undefined
    },
  }
}
