import Dexie, { type Table } from 'dexie'
import type { FileRecord } from '@core/commands/change'
import type { Aside } from '@core/formats/backup'
import type { JournalLine, RecordOf, TableName } from '@core/model'

/** A remark about the store itself, such as the schema's version. */
export interface Meta {
  key: string
  value: string | number
}

/**
 * The browser's store of one world. Tables hold records of `core/model` as they are; `files` the bytes of
 * pictures.
 */
export class Store extends Dexie {
  declare shows: Table<RecordOf<'shows'>, string>
  declare outlets: Table<RecordOf<'outlets'>, string>
  declare recipes: Table<RecordOf<'recipes'>, string>
  declare episodes: Table<RecordOf<'episodes'>, string>
  declare steps: Table<RecordOf<'steps'>, string>
  declare scripts: Table<RecordOf<'scripts'>, string>
  declare keywords: Table<RecordOf<'keywords'>, string>
  declare settings: Table<RecordOf<'settings'>, string>
  declare standing: Table<RecordOf<'standing'>, string>
  declare busy: Table<RecordOf<'busy'>, string>
  declare reservations: Table<RecordOf<'reservations'>, string>
  declare launches: Table<RecordOf<'launches'>, string>
  declare journal: Table<JournalLine, number>
  declare files: Table<FileRecord, string>
  declare meta: Table<Meta, string>
  declare aside: Table<Aside, string>

  constructor(name: string) {
    super(name, { chromeTransactionDurability: 'strict' })
    this.version(1).stores({
      shows: 'id',
      outlets: 'id',
      recipes: 'id',
      episodes: 'id, phase.name',
      steps: 'id, episode',
      scripts: 'id',
      settings: 'id',
      journal: 'seq, *about',
      files: 'id',
      meta: 'key',
    })
    this.version(2).stores({ keywords: 'id, show' })
    this.version(3).stores({ standing: 'id', busy: 'id', reservations: 'id', launches: 'id' })
    this.version(4).stores({ aside: 'key' })
  }

  /** The table of a record type, for code that goes over all of them. */
  rows(name: TableName): Table<unknown, string> {
    return this.table(name)
  }
}
