import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { z } from 'zod'
import type { FileRecord } from '../commands/change'
import { JournalLine, schemas, tableNames, type RecordOf, type TableName } from '../model'
import { migrate, schemaVersion, type RawTables } from '../model/migrations'
import { fine, refused, type Result } from '../result'

/** All that a browser holds: every table's rows, the journal, and the files. */
export interface Whole {
  tables: { [T in TableName]: RecordOf<T>[] }
  journal: JournalLine[]
  files: FileRecord[]
}

const Manifest = z.object({
  format: z.literal('lamp-reel back-up'),
  version: z.number(),
  madeAt: z.string(),
  /** FNV-1a sums of every other entry, by name. */
  sums: z.record(z.string(), z.number()),
  files: z.array(z.object({ id: z.string(), type: z.string(), entry: z.string() })),
})

/** FNV-1a over bytes, 32 bits: tells a damaged entry from a whole one. */
function sumOf(bytes: Uint8Array): number {
  let hash = 2166136261
  for (const b of bytes) hash = Math.imul(hash ^ b, 16777619) >>> 0
  return hash
}

/** The whole as a zip: `lamp-reel.json`, a JSON file a table, the journal, and the files as they are. */
export function writeBackup(whole: Whole, madeAt: string): Uint8Array {
  const entries: Record<string, Uint8Array> = {}
  for (const name of tableNames)
    entries[`records/${name}.json`] = strToU8(JSON.stringify(whole.tables[name], null, 1))
  entries['records/journal.json'] = strToU8(JSON.stringify(whole.journal))
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
  }
  const zip: Zippable = { 'lamp-reel.json': strToU8(JSON.stringify(manifest, null, 2)) }
  for (const [name, bytes] of Object.entries(entries))
    zip[name] = name.startsWith('files/') ? [bytes, { level: 0 }] : bytes
  return zipSync(zip, { level: 6 })
}

function json(bytes: Uint8Array | undefined, name: string): Result<unknown> {
  if (!bytes) return refused(`The back-up lacks ${name}; it is not whole. Choose another back-up.`, name)
  try {
    return fine(JSON.parse(strFromU8(bytes)))
  } catch {
    return refused(`${name} in the back-up is not readable. Choose another back-up.`, name)
  }
}

/** The version of the records in which a table came, where it wasn't there from the first. */
const since: Readonly<Record<string, number>> = {
  keywords: 2,
  standing: 4,
  busy: 4,
  reservations: 4,
  launches: 4,
}

/** Reads a back-up and checks all of it: that it is one, whole, not newer than this program, and that every record and reference is right. */
export function readBackup(bytes: Uint8Array): Result<Whole> {
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
  for (const name of [...tableNames, 'journal']) {
    const rows = json(entries[`records/${name}.json`], `records/${name}.json`)
    // Tables that came later are not in earlier back-ups.
    if (!entries[`records/${name}.json`] && manifest.data.version < (since[name] ?? 1)) {
      raw[name] = []
      continue
    }
    if (!rows.ok) return rows
    if (!Array.isArray(rows.value))
      return refused(`records/${name}.json should hold a list.`, `records/${name}.json`)
    raw[name] = rows.value
  }
  const tables = migrate(raw, manifest.data.version)
  if (!tables.ok) return tables
  const whole = validated(tables.value)
  if (!whole.ok) return whole
  const files = manifest.data.files.flatMap((f) => {
    const bytesOf = entries[f.entry]
    return bytesOf ? [{ id: f.id, type: f.type, bytes: bytesOf }] : []
  })
  const fault = brokenReference(whole.value.tables, new Set(files.map((f) => f.id)))
  return fault ? refused(fault, 'records') : fine({ ...whole.value, files })
}

function rowsOf<T>(schema: z.ZodType<T>, rows: readonly unknown[], name: string): Result<T[]> {
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
  return fine(read)
}

function validated(raw: RawTables): Result<Omit<Whole, 'files'>> {
  const shows = rowsOf(schemas.shows, raw['shows'] ?? [], 'shows')
  if (!shows.ok) return shows
  const outlets = rowsOf(schemas.outlets, raw['outlets'] ?? [], 'outlets')
  if (!outlets.ok) return outlets
  const recipes = rowsOf(schemas.recipes, raw['recipes'] ?? [], 'recipes')
  if (!recipes.ok) return recipes
  const episodes = rowsOf(schemas.episodes, raw['episodes'] ?? [], 'episodes')
  if (!episodes.ok) return episodes
  const steps = rowsOf(schemas.steps, raw['steps'] ?? [], 'steps')
  if (!steps.ok) return steps
  const scripts = rowsOf(schemas.scripts, raw['scripts'] ?? [], 'scripts')
  if (!scripts.ok) return scripts
  const keywords = rowsOf(schemas.keywords, raw['keywords'] ?? [], 'keywords')
  if (!keywords.ok) return keywords
  const settings = rowsOf(schemas.settings, raw['settings'] ?? [], 'settings')
  if (!settings.ok) return settings
  const standing = rowsOf(schemas.standing, raw['standing'] ?? [], 'standing')
  if (!standing.ok) return standing
  const busy = rowsOf(schemas.busy, raw['busy'] ?? [], 'busy')
  if (!busy.ok) return busy
  const reservations = rowsOf(schemas.reservations, raw['reservations'] ?? [], 'reservations')
  if (!reservations.ok) return reservations
  const launches = rowsOf(schemas.launches, raw['launches'] ?? [], 'launches')
  if (!launches.ok) return launches
  const journal = rowsOf(JournalLine, raw['journal'] ?? [], 'journal')
  if (!journal.ok) return journal
  return fine({
    tables: {
      shows: shows.value,
      outlets: outlets.value,
      recipes: recipes.value,
      episodes: episodes.value,
      steps: steps.value,
      scripts: scripts.value,
      keywords: keywords.value,
      settings: settings.value,
      standing: standing.value,
      busy: busy.value,
      reservations: reservations.value,
      launches: launches.value,
    },
    journal: journal.value,
  })
}

function brokenReference(tables: Whole['tables'], files: ReadonlySet<string>): string | undefined {
  const shows = new Set(tables.shows.map((s) => s.id))
  const recipes = new Set(tables.recipes.map((r) => r.id))
  const outlets = new Set(tables.outlets.map((o) => o.id))
  const episodes = new Set(tables.episodes.map((e) => e.id))
  for (const s of tables.shows) {
    if (!recipes.has(s.recipe))
      return `The show “${s.title}” refers to a recipe that the back-up lacks. Choose another back-up; nothing was changed.`
    if ((s.recipes ?? []).some((r) => !recipes.has(r)))
      return `The show “${s.title}” refers to a recipe that the back-up lacks. Choose another back-up; nothing was changed.`
    if (s.outlets.some((o) => !outlets.has(o)))
      return `The show “${s.title}” refers to an outlet that the back-up lacks. Choose another back-up; nothing was changed.`
  }
  for (const e of tables.episodes) {
    if (!shows.has(e.show))
      return `The episode “${e.title}” refers to a show that the back-up lacks. Choose another back-up; nothing was changed.`
    const lost = [...e.pictures, ...e.idea.images, ...e.idea.files].find((p) => !files.has(p.id))
    if (lost)
      return `The file “${lost.name}” of “${e.title}” is missing from the back-up. Choose another back-up; nothing was changed.`
  }
  for (const r of tables.reservations)
    if (!shows.has(r.show))
      return `What is kept for “${r.name}” belongs to a show that the back-up lacks. Choose another back-up; nothing was changed.`
  for (const s of tables.steps)
    if (!episodes.has(s.episode))
      return `The step “${s.name}” belongs to an episode that the back-up lacks. Choose another back-up; nothing was changed.`
  return undefined
}
