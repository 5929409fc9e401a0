import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { z } from 'zod/mini'
import type { FileRecord } from '../commands/change'
import {
  JournalLine,
  rowsFrom,
  tableNames,
  tables,
  type RecordOf,
  type Rows,
  type TableName,
} from '../records'
import { migrate, type RawTables } from '../records/migrations'
import { schemaVersion } from '../records/version'
import { filesOf } from '../commands/files'
import { ok, refused, type Problem, type Result } from '../result'
import { deepest, faultsOf, nameOf, nestedBeyond } from './whole-check'
import { zipWithinBounds } from './zip-bounds'

/** All that a browser holds: every table's rows, the journal, and the files. */
export interface WholeStore {
  tables: Rows
  journal: JournalLine[]
  files: FileRecord[]
  /** What could not be read and was set aside, as it is. */
  aside?: Aside[] | undefined
}

/** A record that could not be read, kept whole beside the others until it is mended or let go. */
export const Aside = z.object({
  key: z.string().check(z.minLength(1)),
  table: z.enum(tableNames),
  why: z.string(),
  at: z.number(),
  row: z.unknown(),
})
export type Aside = z.infer<typeof Aside>

const Manifest = z.object({
  format: z.literal('lamp-reel back-up'),
  version: z.number(),
  madeAt: z.string(),
  /** FNV-1a sums of every other entry, by name. */
  sums: z.record(z.string(), z.number()),
  files: z.array(z.object({ id: z.string(), type: z.string(), entry: z.string() })),
  /** Files whose bytes the store had lost when it was made. */
  lost: z.optional(z.array(z.string())),
})

/** FNV-1a over bytes, 32 bits: tells a damaged entry from a whole one. */
function sumOf(bytes: Uint8Array): number {
  let hash = 2166136261
  for (const b of bytes) hash = Math.imul(hash ^ b, 16777619) >>> 0
  return hash
}

/** The whole as a zip: `lamp-reel.json`, a JSON file a table, the journal, and the files as they are. */
export function writeBackup(whole: WholeStore, madeAt: string): Uint8Array {
  const entries: Record<string, Uint8Array> = {}
  for (const name of tableNames)
    entries[`records/${name}.json`] = strToU8(JSON.stringify(whole.tables[name], null, 1))
  entries['records/journal.json'] = strToU8(JSON.stringify(whole.journal))
  if (whole.aside && whole.aside.length > 0)
    entries['records/aside.json'] = strToU8(JSON.stringify(whole.aside, null, 1))
  const have = new Set(whole.files.map((f) => f.id))
  const lost = whole.tables.episodes.flatMap(filesOf).filter((id) => !have.has(id))
  const files = whole.files.map((f, i) => ({
    id: f.id,
    type: f.type,
    entry: `files/${i + 1}.${f.type.split('/')[1]?.replace(/\+.*/, '') ?? 'bin'}`,
  }))
  whole.files.forEach((f, i) => {
    const entry = files[i]?.entry
    if (entry) entries[entry] = f.bytes
  })
  const manifest: z.infer<typeof Manifest> = {
    format: 'lamp-reel back-up',
    version: schemaVersion,
    madeAt,
    sums: Object.fromEntries(Object.entries(entries).map(([name, bytes]) => [name, sumOf(bytes)])),
    files,
    ...(lost.length > 0 ? { lost } : {}),
  }
  const zip: Zippable = { 'lamp-reel.json': strToU8(JSON.stringify(manifest, null, 2)) }
  for (const [name, bytes] of Object.entries(entries))
    zip[name] = name.startsWith('files/') ? [bytes, { level: 0 }] : bytes
  return zipSync(zip, { level: 6 })
}

function json(bytes: Uint8Array | undefined, name: string): Result<unknown> {
  if (!bytes) return refused(`The back-up lacks ${name}; it is not whole. Choose another back-up.`, name)
  try {
    const value: unknown = JSON.parse(strFromU8(bytes))
    // The list, its rows, and what a row holds.
    return nestedBeyond(value, deepest + 2)
      ? refused(`${name} in the back-up is nested too deep to be one. Choose another back-up.`, name)
      : ok(value)
  } catch {
    return refused(`${name} in the back-up is not readable. Choose another back-up.`, name)
  }
}

/**
 * Reads a back-up and checks all of it: that it is one, whole, not newer than this program, and that every
 * record and reference is right.
 */
export function readBackup(bytes: Uint8Array): Result<WholeStore> {
  const bounded = zipWithinBounds(bytes)
  if (!bounded.ok) return bounded
  let entries: Record<string, Uint8Array>
  try {
    entries = unzipSync(bytes)
  } catch {
    return refused(
      'This file is not a zip, or it is damaged. Choose a back-up that Lamp Reel made (its name ends in .zip).',
      'file',
    )
  }
  if (!entries['lamp-reel.json'])
    return refused(
      'This zip is not a Lamp Reel back-up: it has no lamp-reel.json. Choose a back-up that Lamp Reel made.',
      'lamp-reel.json',
    )
  const head = json(entries['lamp-reel.json'], 'lamp-reel.json')
  if (!head.ok) return head
  const manifest = Manifest.safeParse(head.value)
  if (!manifest.success)
    return refused(
      'This zip is not a Lamp Reel back-up: its lamp-reel.json says something else. Choose a back-up that Lamp Reel made.',
      'lamp-reel.json',
    )
  for (const [name, sum] of Object.entries(manifest.data.sums)) {
    const entry = entries[name]
    if (!entry || sumOf(entry) !== sum)
      return refused(
        `${name} in the back-up is ${entry ? 'damaged' : 'missing'}. Choose another back-up; nothing was changed.`,
        name,
      )
  }
  const raw: RawTables = {}
  for (const name of [...tableNames, 'journal'] as const) {
    const rows = json(entries[`records/${name}.json`], `records/${name}.json`)
    // Tables that came later are not in earlier back-ups.
    if (!entries[`records/${name}.json`] && manifest.data.version < sinceOf(name)) {
      raw[name] = []
      continue
    }
    if (!rows.ok) return rows
    if (!Array.isArray(rows.value))
      return refused(`records/${name}.json should hold a list.`, `records/${name}.json`)
    raw[name] = rows.value
  }
  const set = asideOf(entries['records/aside.json'])
  if (!set.ok) return set
  raw['aside'] = set.value
  const migrated = migrate(raw, manifest.data.version)
  if (!migrated.ok) return migrated
  const whole = validated(migrated.value)
  if (!whole.ok) return whole
  const files = manifest.data.files.flatMap((f) => {
    const bytesOf = entries[f.entry]
    return bytesOf ? [{ id: f.id, type: f.type, bytes: bytesOf }] : []
  })
  const there = new Set([...files.map((f) => f.id), ...(manifest.data.lost ?? [])])
  const fault = brokenReference(whole.value.tables, there)
  if (fault) return refused(fault, 'records')
  const aside = z.array(Aside).parse(migrated.value['aside'])
  return ok({ ...whole.value, files, ...(aside.length > 0 ? { aside } : {}) })
}

function asideOf(bytes: Uint8Array | undefined): Result<Aside[]> {
  if (!bytes) return ok([])
  const name = 'records/aside.json'
  const rows = json(bytes, name)
  if (!rows.ok) return rows
  const read = z.array(Aside).safeParse(rows.value)
  return read.success
    ? ok(read.data)
    : refused(`${name} in the back-up is not what Lamp Reel writes. Choose another back-up.`, name)
}

function rowsOf<T>(schema: z.ZodMiniType<T>, rows: readonly unknown[], name: string): Result<T[]> {
  const read: T[] = []
  for (const [i, row] of rows.entries()) {
    const parsed = schema.safeParse(row)
    if (!parsed.success) {
      const issue = parsed.error.issues[0]
      return refused(
        `${name}, record ${i + 1}: ${issue?.message ?? 'not right'} Nothing was changed.`,
        [`records/${name}.json`, i + 1, ...(issue?.path ?? [])].join('.'),
      )
    }
    read.push(parsed.data)
  }
  return ok(read)
}

/** The version of the records in which a table came. */
function sinceOf(name: TableName | 'journal'): number {
  return name === 'journal' ? 1 : tables[name].since
}

function validated(raw: RawTables): Result<Omit<WholeStore, 'files'>> {
  const faults: Problem[] = []
  const rows = rowsFrom(<T extends TableName>(name: T): readonly RecordOf<T>[] => {
    const read = rowsOf(tables[name].schema, raw[name] ?? [], name)
    if (read.ok) return read.value
    faults.push(read.problem)
    return []
  })
  const journal = rowsOf(JournalLine, raw['journal'] ?? [], 'journal')
  if (!journal.ok) return journal
  const [problem] = faults
  return problem ? { ok: false, problem } : ok({ tables: rows, journal: journal.value })
}

/** The first thing that is wrong between the records of a back-up, named; or with the files they refer to. */
function brokenReference(all: Rows, files: ReadonlySet<string>): string | undefined {
  const [fault] = faultsOf(all)
  if (fault) {
    const rows: readonly { id: string }[] = all[fault.table]
    const name = nameOf(rows.find((r) => r.id === fault.id))
    return `The ${tables[fault.table].singular} “${name}” cannot be taken: ${fault.why.replace(/\.$/, '')}. Choose another back-up; nothing was changed.`
  }
  for (const e of all.episodes) {
    const lost = [...e.pictures, ...e.idea.images, ...e.idea.files].find((p) => !files.has(p.id))
    if (lost)
      return `The file “${lost.name}” of “${e.title}” is missing from the back-up. Choose another back-up; nothing was changed.`
  }
  return undefined
}
