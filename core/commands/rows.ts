import { emptyRecords, type Records } from '../model'
import type { Whole } from '../formats/backup'
import type { Rows } from '../formats/whole-check'

/** The records as rows of tables. */
export function rowsOf(r: Records): Whole['tables'] {
  return {
    shows: [...r.shows.values()],
    outlets: [...r.outlets.values()],
    recipes: [...r.recipes.values()],
    episodes: [...r.episodes.values()],
    steps: [...r.steps.values()],
    scripts: [...r.scripts.values()],
    keywords: [...r.keywords.values()],
    settings: [...r.settings.values()],
    standing: [...r.standing.values()],
    busy: [...r.busy.values()],
    reservations: [...r.reservations.values()],
    launches: [...r.launches.values()],
  }
}

/** Rows of tables as records, by id. */
export function recordsOf(rows: Rows): Records {
  const byId = <R extends { id: string }>(all: readonly R[]): ReadonlyMap<string, R> =>
    new Map(all.map((r) => [r.id, r]))
  return {
    ...emptyRecords(),
    shows: byId(rows.shows),
    outlets: byId(rows.outlets),
    recipes: byId(rows.recipes),
    episodes: byId(rows.episodes),
    steps: byId(rows.steps),
    scripts: byId(rows.scripts),
    keywords: byId(rows.keywords),
    settings: byId(rows.settings),
    standing: byId(rows.standing),
    busy: byId(rows.busy),
    reservations: byId(rows.reservations),
    launches: byId(rows.launches),
  }
}
