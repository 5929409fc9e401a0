import Dexie, { type Table } from 'dexie'
import type { FileRecord } from '@core/commands/change'
import type { Aside } from '@core/formats/backup'
import type { JournalLine, RecordOf, TableName } from '@core/records'
import { shapeSince, storeVersion } from './store-shape'

/** A remark about the store itself, such as the schema's version. */
export interface Meta {
  key: string
  value: string | number
}

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
      this.version(version).stores(shapeSince(version))
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
