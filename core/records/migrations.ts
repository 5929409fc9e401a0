import { ok, refused, type Result } from '../result'
import { bareIdea } from './idea'
import { recordFrom4 } from './from-4'
import { recordFrom5 } from './from-5'
import { freshSetup, freshWeights } from './settings'
import { schemaVersion } from './version'

/** Tables as they were read, before anything is known of them. */
export type RawTables = Record<string, unknown[]>

/** Turns tables of version `n` into those of `n + 1`. Pure: makes new rows, never mutates. */
export type Migration = (tables: RawTables) => RawTables

/**
 * The way from each version to the next, by the version it starts from. The same run in the browser's store
 * and on a back-up.
 */
export const migrations: Readonly<Record<number, Migration>> = {
  1: (tables) => over({ ...tables, keywords: tables['keywords'] ?? [] }, recordFrom1),
  2: (tables) => over(tables, recordFrom2),
  // Version 4 has tables for standing work, busy time, reservations and launches.
  3: (tables) => ({ standing: [], busy: [], reservations: [], launches: [], ...tables }),
  4: (tables) => over(tables, recordFrom4),
  // Version 6 has sessions, and shots that follow several others.
  5: (tables) => over({ sessions: [], letters: [], ...tables }, recordFrom5),
  6: (tables) => ({ cuts: [], transcripts: [], offers: [], ...tables }),
  7: (tables) => ({ jobs: [], ...tables }),
  8: (tables) => ({ people: [], deals: [], campaigns: [], ...tables }),
  // Version 10 knows of several things in an episode that may change.
  9: (tables) => over(tables, recordFrom9),
}

/**
 * Every record of every table, those that the journal keeps for undo, and those that were set aside, turned by
 * its table's name.
 */
function over(tables: RawTables, turn: (table: unknown, row: unknown) => unknown): RawTables {
  return Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => [
      name,
      rows.map((row) =>
        name === 'journal'
          ? journalLine(row, turn)
          : name === 'aside'
            ? asideRow(row, turn)
            : turn(name, row),
      ),
    ]),
  )
}

function asideRow(aside: unknown, turn: (table: unknown, row: unknown) => unknown): unknown {
  return isRow(aside) && 'row' in aside ? { ...aside, row: turn(aside['table'], aside['row']) } : aside
}

function journalLine(line: unknown, turn: (table: unknown, row: unknown) => unknown): unknown {
  if (!isRow(line) || !Array.isArray(line['changes'])) return line
  return {
    ...line,
    changes: line['changes'].map((change: unknown) =>
      isRow(change)
        ? {
            ...change,
            ...Object.fromEntries(
              (['before', 'after'] as const).flatMap((side) =>
                change[side] === undefined ? [] : [[side, turn(change['table'], change[side])]],
              ),
            ),
          }
        : change,
    ),
  }
}

/** The one thing to look at again that an episode had is the first of several. */
function recordFrom9(table: unknown, row: unknown): unknown {
  if (table !== 'episodes' || !isRow(row) || !('again' in row)) return row
  const { again, ...rest } = row
  if (!isRow(again)) return rest
  const said = again['what']
  const what = typeof said === 'string' && said.trim() !== '' ? said : 'Something that may be out of date'
  return { ...rest, facts: [{ id: `${String(row['id'])}-again`, ...again, what }] }
}

/** Version 3 knows of work laid on days, of single dates' hours, and of what setting up costs. */
function recordFrom2(table: unknown, row: unknown): unknown {
  if (!isRow(row)) return row
  if (table === 'steps') return { blocks: [], ...row }
  if (table === 'settings') return { exceptions: {}, setup: freshSetup, preferred: {}, ...row }
  return row
}

/**
 * Version 2 knows of an episode's days as an idea, a show's own fields, and of weights, views and guests'
 * days away.
 */
function recordFrom1(table: unknown, row: unknown): unknown {
  if (!isRow(row)) return row
  switch (table) {
    case 'episodes':
      return { idea: bareIdea(), ...row }
    case 'shows':
      return { fields: [], ...row }
    case 'settings':
      return { weights: freshWeights, views: [], away: {}, ...row }
    default:
      return row
  }
}

function isRow(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null
}

/**
 * Brings tables from version `from` up to `to`. Refused where they are newer than this program or where a
 * way is missing.
 */
export function migrate(
  tables: RawTables,
  from: number,
  ways = migrations,
  to = schemaVersion,
): Result<RawTables> {
  if (!Number.isInteger(from) || from < 1)
    return refused(`The version “${String(from)}” is not one this program ever wrote.`, 'version')
  if (from > to)
    return refused(
      `It was written by a newer Lamp Reel (records of version ${from}; this one knows up to ${to}). Update this one first, then try again.`,
      'version',
    )
  let now = tables
  for (let version = from; version < to; version++) {
    const way = ways[version]
    if (!way)
      return refused(`There is no way from records of version ${version} to ${version + 1}.`, 'version')
    now = way(now)
  }
  return ok(now)
}
