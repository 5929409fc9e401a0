import { createPinia, setActivePinia } from 'pinia'
import { exampleNow } from '@core/examples'
import type { Records } from '@core/records'
import { useLibrary } from './library'
import { useMoment } from './moment'

/**
 * A desk without a browser: stores of their own, that see these records at the examples' moment. Test support; nothing is
 * kept, so a test puts something in the place of '@app/data/library'.
 */
export function exampleDesk(records: Records, now = exampleNow) {
  setActivePinia(createPinia())
  const library = useLibrary()
  library.records = records
  library.state = 'open'
  library.stepsOf = (ids) =>
    Promise.resolve([...library.records.steps.values()].filter((s) => ids.includes(s.episode)))
  library.ensure = () => Promise.resolve()
  const moment = useMoment()
  moment.now = now
  return {
    library,
    moment,
    /** The records as they are after something was done. */
    see: (next: Records) => {
      library.records = next
    },
  }
}
