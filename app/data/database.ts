import Dexie, { type Table } from 'dexie'
import type { FileRecord } from '@core/commands/change'
import type { Aside } from '@core/formats/backup'
import { tableNames, tables, type JournalLine, type RecordOf, type TableName } from '@core/records'
import { storeVersion } from './store-version'

/** A remark about the store itself, such as the schema's version. */
export interface Meta {
  key: string
  value: string | number
}

/** The version of the store in which a table came; it was one behind the records' once. */
function since(name: TableName): number {
  return tables[name].since === 4 ? 3 : tables[name].since
}

/** What a store holds beside the tables of records. */
const besides: Readonly<Record<number, Record<string, string>>> = {
  1: { journal: 'seq, *about', files: 'id', meta: 'key' },
  4: { aside: 'key' },
  5: { episodes: tables.episodes.index },
}

/** Indices that a table had before version 5. */
const once: Partial<Record<TableName, string>> = { episodes: 'id, phase.name' }

/**
 * The browser's store of one world. Tables hold records of `core/records` as they are; `files` the bytes of
 * pictures.
 */
export class Store extends Dexie {
  declare journal: Table<JournalLine, number>
  declare files: Table<FileRecord, string>
  declare meta: Table<Meta, string>
  declare aside: Table<Aside, string>

  constructor(name: string) {
    super(name, { chromeTransactionDurability: 'strict' })
    for (let version = 1; version <= storeVersion; version++)
      this.version(version).stores({
        ...Object.fromEntries(
          tableNames.flatMap((name) =>
            since(name) === version ? [[name, once[name] ?? tables[name].index]] : [],
          ),
        ),
        ...besides[version],
      })
  }

  /** The table of a kind of record. */
  rows<T extends TableName>(name: T): Table<RecordOf<T>, string> {
    return this.table(name)
  }

  /** The same with its rows as they are, not yet looked at. */
  raw(name: TableName): Table<unknown, string> {
    return this.table(name)
  }
}
