import type { z } from 'zod/mini'
import type { Id } from './basics'
import { Campaign } from './campaign'
import { Cut } from './cut'
import { Deal } from './deal'
import { Episode } from './episode'
import { Job } from './job'
import { Keyword } from './keyword'
import { TakenLetter } from './letter'
import { Offer } from './offer'
import { Person } from './person'
import { Launch, Reservation } from './promise'
import { Recipe } from './recipe'
import { Script } from './script'
import { Session } from './session'
import { Settings } from './settings'
import { Outlet } from './outlet'
import { Show } from './show'
import { Busy, StandingWork } from './standing'
import { Step } from './step'
import { Transcript } from './transcript'

/** A record that another one cannot do without. `as` is what it is to that one, for sentences: `its show`. */
export interface RefersTo {
  table: string
  id: Id
  as: string
}

/**
 * What a table is. From this follow its store, its changes and their undo, its rows in back-ups and in what
 * is
 * set aside, and the checks of a record by itself and of what it refers to.
 */
export interface TableOf<R> {
  schema: z.ZodMiniType<R>
  /** One of its records, in sentences. */
  singular: string
  /** The version of the records' schema with which it came. */
  since: number
  /** Keys and indices of its store. */
  index: string
  /** The records that it cannot do without; they stand in tables above it in the registry. */
  refers?: (row: R) => RefersTo[]
  /** It says that something has happened: undo takes back what came of it, not that. */
  stays?: true
}

function table<R>(schema: z.ZodMiniType<R>, rest: Omit<TableOf<NoInfer<R>>, 'schema'>): TableOf<R> {
  return { schema, ...rest }
}
const itsShow = (row: { show: Id }): RefersTo[] => [{ table: 'shows', id: row.show, as: 'its show' }]
const itsEpisode = (id: Id): RefersTo[] => [{ table: 'episodes', id, as: 'its episode' }]

/** Every table that commands may change, once; in the order in which a back-up lists them. */
const defined = {
  recipes: table(Recipe, { singular: 'recipe', since: 1, index: 'id' }),
  outlets: table(Outlet, { singular: 'outlet', since: 1, index: 'id' }),
  shows: table(Show, {
    singular: 'show',
    since: 1,
    index: 'id',
    refers: (s) => [
      ...[
        s.recipe,
        ...(s.recipes ?? []),
        ...[...(s.rhythm.also ?? []), ...(s.forms ?? [])].flatMap((b) => b.recipe ?? []),
      ].map((id) => ({ table: 'recipes', id, as: 'its recipe' })),
      ...s.outlets.map((id) => ({ table: 'outlets', id, as: 'its outlet' })),
    ],
  }),
  episodes: table(Episode, {
    singular: 'episode',
    since: 1,
    index: 'id, phase.kind',
    refers: (e) => [
      ...itsShow(e),
      ...(e.recipe === undefined ? [] : [{ table: 'recipes', id: e.recipe, as: 'its recipe' }]),
    ],
  }),
  steps: table(Step, {
    singular: 'step',
    since: 1,
    index: 'id, episode',
    refers: (s) => itsEpisode(s.episode),
  }),
  scripts: table(Script, {
    singular: 'script',
    since: 1,
    index: 'id',
    refers: (s) => itsEpisode(s.id),
  }),
  keywords: table(Keyword, { singular: 'keyword', since: 2, index: 'id, show', refers: itsShow }),
  settings: table(Settings, { singular: 'settings', since: 1, index: 'id' }),
  standing: table(StandingWork, { singular: 'standing work', since: 4, index: 'id' }),
  busy: table(Busy, { singular: 'busy time', since: 4, index: 'id' }),
  reservations: table(Reservation, { singular: 'reservation', since: 4, index: 'id', refers: itsShow }),
  launches: table(Launch, { singular: 'launch', since: 4, index: 'id' }),
  letters: table(TakenLetter, { singular: 'letter that was taken', since: 6, index: 'id', stays: true }),
  sessions: table(Session, { singular: 'session', since: 6, index: 'id' }),
  cuts: table(Cut, {
    singular: 'cut',
    since: 7,
    index: 'id, episode',
    refers: (c) => itsEpisode(c.episode),
  }),
  transcripts: table(Transcript, {
    singular: 'transcript',
    since: 7,
    index: 'id',
    refers: (t) => itsEpisode(t.id),
  }),
  offers: table(Offer, { singular: 'offer', since: 7, index: 'id' }),
  jobs: table(Job, {
    singular: 'job of a helper',
    since: 8,
    index: 'id',
    refers: (j) => itsEpisode(j.episode),
  }),
  people: table(Person, { singular: 'person', since: 9, index: 'id' }),
  deals: table(Deal, { singular: 'deal', since: 9, index: 'id', refers: itsShow }),
  campaigns: table(Campaign, { singular: 'campaign', since: 9, index: 'id' }),
}

export type TableName = keyof typeof defined
type RecordMap = { [T in TableName]: z.infer<(typeof defined)[T]['schema']> }
export type RecordOf<T extends TableName> = RecordMap[T]

/** The tables by name. */
export const tables: { readonly [T in TableName]: TableOf<RecordMap[T]> } = defined

function isTableName(name: string): name is TableName {
  return Object.hasOwn(defined, name)
}
/** The tables' names, in the order of the registry. */
export const tableNames: readonly TableName[] = Object.keys(defined).filter(isTableName)

/** The records that a command sees: maps by id. Never mutated; a change makes a new one. */
export type Records = { readonly [T in TableName]: ReadonlyMap<string, RecordMap[T]> }

/** The rows of every table. */
export type Rows = { readonly [T in TableName]: readonly RecordMap[T][] }

function isRows(made: object): made is Rows {
  return tableNames.every((name) => name in made)
}
function isRecords(made: object): made is Records {
  return tableNames.every((name) => name in made)
}

/** Rows of every table, a table at a time. */
export function rowsFrom(make: <T extends TableName>(name: T) => readonly RecordOf<T>[]): Rows {
  const made = Object.fromEntries(tableNames.map((name) => [name, make(name)]))
  if (!isRows(made)) throw new Error('A table is missing.')
  return made
}

/** Records of every table, a table at a time. */
export function recordsFrom(
  make: <T extends TableName>(name: T) => ReadonlyMap<string, RecordOf<T>>,
): Records {
  const made = Object.fromEntries(tableNames.map((name) => [name, make(name)]))
  if (!isRecords(made)) throw new Error('A table is missing.')
  return made
}

/** Rows as a map by id; the last of two with the same id stays. */
export function byId<R extends { id: string }>(rows: readonly R[]): Map<string, R> {
  return new Map(rows.map((r) => [r.id, r]))
}

/** Records with nothing in them. */
export function emptyRecords(): Records {
  return recordsFrom(() => new Map())
}

/** The records as rows of tables. */
export function rowsOf(records: Records): Rows {
  return rowsFrom(<T extends TableName>(name: T) => {
    const map: ReadonlyMap<string, RecordOf<T>> = records[name]
    return [...map.values()]
  })
}

/** Rows of tables as records, by id. */
export function recordsOf(rows: Rows): Records {
  return recordsFrom(<T extends TableName>(name: T) => {
    const all: readonly (RecordOf<T> & { id: string })[] = rows[name]
    return byId(all)
  })
}
