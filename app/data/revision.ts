import type { Store } from './database'

/** The store was emptied or deleted under the page. */
export class Gone extends Error {
  constructor() {
    super('gone')
  }
}

/** How often the store was written, over all tabs. Throws `Gone` where the store is not ours any more. */
export async function revisionOf(store: Store): Promise<number> {
  const [schema, rev] = await store.meta.bulkGet(['schema', 'rev'])
  if (schema === undefined) throw new Gone()
  return typeof rev?.value === 'number' ? rev.value : 0
}
