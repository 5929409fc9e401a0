import type { Records } from '../records'

/** What Today could have something to say of. */
const said = ['episodes', 'standing', 'sessions', 'people', 'deals', 'campaigns'] as const

/** Whether nothing is there yet that Today could tell, so that it says how to begin. */
export function isFirstDay(records: Pick<Records, (typeof said)[number]>): boolean {
  return said.every((table) => records[table].size === 0)
}
