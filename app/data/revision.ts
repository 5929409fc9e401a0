import type { Store } from './database'

/** The store was emptied or deleted under the page. */
export class Gone extends Error {
  constructor() {
    super('gone')
  }
}

/** Whether anything of a creator's is in a store, whoever wrote it. */
export async function holdsRecords(store: Store): Promise<boolean> {
  const counts = await Promise.all([store.rows('shows').count(), store.rows('episodes').count()])
  return counts.some((n) => n > 0)
}

/** How often the store was written, over all tabs. Throws `Gone` where the store is not ours any more. */
export async function revisionOf(store: Store): Promise<number> {
  const [schema, rev] = await store.meta.bulkGet(['schema', 'rev'])
  if (schema === undefined) throw new Gone()
  return typeof rev?.value === 'number' ? rev.value : 0
}
