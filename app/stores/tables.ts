import { computed, markRaw, type Ref } from 'vue'
import { recordsFrom, tableNames, type RecordOf, type Records, type TableName } from '@core/records'

/**
 * The records with each table by itself: what is derived of one is not derived anew when others change, as it would be
 * from the records as a whole.
 */
export function tablesOf(records: Readonly<Ref<Records>>): Records {
  const tables = recordsFrom(() => new Map())
  for (const name of tableNames) Object.defineProperty(tables, name, { get: getter(records, name) })
  return markRaw(tables)
}

function getter<T extends TableName>(records: Readonly<Ref<Records>>, name: T) {
  const table = computed((): ReadonlyMap<string, RecordOf<T>> => records.value[name])
  return () => table.value
}
