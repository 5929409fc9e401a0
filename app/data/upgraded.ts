import { tableNames } from '@core/records'
import { schemaVersion } from '@core/records/version'
import { ok, type Result } from '@core/result'
import type { Store } from './database'

/** Brings the records of a store up to this program's version, in one transaction. */
export async function upgraded(store: Store): Promise<Result<void>> {
  const version = (await store.meta.get('schema'))?.value
  if (version === schemaVersion) return ok(undefined)
  if (version !== undefined) {
    const tables: Record<string, unknown[]> = {}
    for (const name of tableNames) tables[name] = await store.rows(name).toArray()
    tables['journal'] = await store.journal.toArray()
    tables['aside'] = await store.aside.toArray()
    // Fetched by the few that come from an older program.
    const { migrate } = await import('@core/records/migrations')
    const next = migrate(tables, Number(version))
    if (!next.ok) return next
    await store.transaction('rw', store.tables, async () => {
      for (const name of [...tableNames, 'journal', 'aside']) {
        await store.table(name).clear()
        await store.table(name).bulkAdd(next.value[name] ?? [])
      }
      await store.meta.put({ key: 'schema', value: schemaVersion })
    })
    return ok(undefined)
  }
  await store.meta.put({ key: 'schema', value: schemaVersion })
  return ok(undefined)
}
