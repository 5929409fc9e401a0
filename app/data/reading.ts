import { ascending } from 'd3-array'
import { deepest, faultsOf, nestedBeyond } from '@core/formats/whole-check'
import type { Aside } from '@core/formats/backup'
import {
  rowsFrom,
  tableNames,
  tables,
  type Id,
  type RecordOf,
  type Rows,
  type TableName,
} from '@core/records'
import { followDays } from '@core/recipe/progress'
import { now } from './clock'
import type { Store } from './database'
import type { LateStore } from './late-store'
import { readSnapshot, type Snapshot } from './snapshot'

/**
 * Episodes that went out within so many days are read with their steps: their work stands in the days on
 * which it was done, and what follows a release is asked for.
 */
const lately = followDays + 2

/**
 * What is read at the start: rows that are right, those that had to be set aside, and which episodes' steps
 * and scripts are among them.
 */
export interface Read {
  rows: Rows
  /** What has to be set aside, and what was before. */
  aside: Aside[]
  setAside: Aside[]
  loaded: Id[]
  /** Episodes whose records are looked at later: ideas and old releases of a large library. */
  later: Id[]
  rev: number
  /** Remarks about the store itself, by their keys. */
  remarks: Snapshot['remarks']
}

/** Above so many episodes those that no screen needs at once are looked at in idle moments. */
const atOnce = 3000

/** The rows of a table that its schema reads, and the others with what is wrong with them. */
export function checkedRows<T extends TableName>(
  table: T,
  raw: readonly unknown[],
  read: (row: unknown) => RecordOf<T> | string,
): { rows: RecordOf<T>[]; aside: Aside[] } {
  const rows: RecordOf<T>[] = []
  const aside: Aside[] = []
  raw.forEach((row, i) => {
    const record = nestedBeyond(row, deepest) ? 'it is nested too deep' : read(row)
    if (typeof record !== 'string') rows.push(record)
    else aside.push(asideOf(table, row, record, i))
  })
  return { rows, aside }
}

/** A record set aside, whole, under a key of its own. */
export function asideOf(table: TableName, row: unknown, why: string, i = 0): Aside {
  const id: unknown =
    typeof row === 'object' && row !== null && 'id' in row ? Reflect.get(row, 'id') : undefined
  return { key: `${table}/${typeof id === 'string' ? id : `row ${i + 1}`}`, table, why, at: now(), row }
}

/** Reads one record by its table's schema: the record, or what is wrong with it. */
export function readerOf<T extends TableName>(table: T): (row: unknown) => RecordOf<T> | string {
  const { schema } = tables[table]
  // The record as it is stored, not as the schema hands it on, so that what is written compares with it.
  const fits = (row: unknown): row is RecordOf<T> => schema.safeParse(row).success
  return (row) => {
    if (fits(row)) return row
    const issue = schema.safeParse(row).error?.issues[0]
    return `${(issue?.path ?? []).map(String).join('.') || 'the record'}: ${issue?.message ?? 'not right'}`
  }
}

/**
 * Reads what screens need at once, in one transaction, so that nothing half written is seen; nothing where there is no
 * store of this program's version.
 */
export function readStore(name: string): Promise<Read | undefined> {
  return readSnapshot(name, async ({ tables, rev, remarks, aside: setAside, workOf }: Snapshot) => {
    const aside: Aside[] = []
    const raw = new Map(tables)
    const all = raw.get('episodes') ?? []
    const from = new Date(now() - lately * 86_400_000).toISOString()
    const large = all.length > atOnce
    const unchecked = large ? all.filter((e): e is RecordOf<'episodes'> => !isNeeded(e, from)) : []
    if (large)
      raw.set(
        'episodes',
        all.filter((e) => isNeeded(e, from)),
      )
    const take = <T extends TableName>(table: T): RecordOf<T>[] => {
      const read = checkedRows(table, raw.get(table) ?? [], readerOf(table))
      aside.push(...read.aside)
      return read.rows
    }
    const episodes = take('episodes')
    const loaded = episodes.filter((e) => isNeeded(e, from)).map((e) => e.id)
    const { steps, scripts } = await workOf(loaded)
    raw.set('steps', steps)
    raw.set('scripts', scripts)
    const rows = { ...rowsFrom(take), episodes: [...episodes, ...unchecked] }
    return { rows, aside, setAside, loaded, later: unchecked.map((e) => e.id), rev, remarks }
  })
}

/** Whether an episode's steps and script are read at the start: in work, parked, or out lately. */
function isNeeded(row: unknown, from: string): boolean {
  const phase: unknown =
    typeof row === 'object' && row !== null && 'phase' in row ? Reflect.get(row, 'phase') : undefined
  if (typeof phase !== 'object' || phase === null || !('kind' in phase)) return true
  if (phase.kind === 'released') return !('at' in phase) || String(phase.at) >= from
  return phase.kind !== 'idea' && phase.kind !== 'dropped'
}

/**
 * Takes out of the rows what breaks the rules between records, and writes everything that is set aside into
 * its own table, so that the rest works and nothing is lost. Gives the rows that stay, and all that is set
 * aside by now.
 */
export async function settledRows(store: LateStore, read: Read): Promise<{ rows: Rows; aside: Aside[] }> {
  const faults = faultsOf(read.rows)
  const at = new Map(faults.map((f) => [`${f.table}/${f.id}`, f]))
  const broken: Aside[] = []
  const keep = <T extends TableName>(table: T): RecordOf<T>[] => {
    const all: readonly RecordOf<T>[] = read.rows[table]
    if (at.size === 0) return [...all]
    return all.filter((row) => {
      const fault = at.get(`${table}/${row.id}`)
      if (fault) broken.push(asideOf(table, row, fault.why))
      return !fault
    })
  }
  const rows = rowsFrom(keep)
  const aside = [...read.aside, ...broken]
  if (aside.length > 0) await setAside(await store.get(), aside)
  const all = new Map([...read.setAside, ...aside].map((a) => [a.key, a]))
  return { rows, aside: [...all.values()].sort((a, b) => ascending(a.key, b.key)) }
}

/** Moves records out of their tables, whole. */
export async function setAside(store: Store, aside: readonly Aside[]): Promise<void> {
  await store.transaction('rw', [...tableNames, 'aside'], async () => {
    for (const a of aside) {
      await store.aside.put(a)
      await store.raw(a.table).delete(a.key.slice(a.table.length + 1))
    }
  })
}
