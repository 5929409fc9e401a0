import { computed, type ComputedRef } from 'vue'
import { same } from '@core/records/same'

/** What stays the very same while it says the same: each write hands records on copied. */
export function keptSame<T>(of: () => T): ComputedRef<T> {
  return computed((old?: T): T => {
    const fresh = of()
    return old !== undefined && same(old, fresh) ? old : fresh
  })
}
