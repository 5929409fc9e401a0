import { StoredChange, type Change } from '../records'
import { refused, type Result } from '../result'
import { checked, type Outcome } from './change'
import { rebased } from './rebase'

/** The table of a change with other records before and after. */
function withRecords(change: Change, before: unknown, after: unknown): unknown {
  return { ...change, before, after }
}

/**
 * What was typed, upon what stands in the store by now: field by field (`rebase`), checked by the schemas.
 * Refused where what it was typed into is gone.
 */
export function upheld(done: Outcome, stored: (change: Change) => unknown): Result<Outcome> {
  const parts = rebased(done.changes, stored)
  if (parts.length === 0 && done.changes.length > 0)
    return refused('It is no longer there; another tab has taken it away.', 'records')
  const changes = parts.flatMap(({ change, after }) => {
    const read = asChange(withRecords(change, stored(change), after))
    return read ? [read] : []
  })
  return checked({ ...done, changes })
}

function asChange(value: unknown): Change | undefined {
  const read = StoredChange.safeParse(value)
  return read.success ? read.data : undefined
}
