import type { z } from 'zod'
import { Episode } from './episode'
import { Keyword } from './keyword'
import { Recipe } from './recipe'
import { Script } from './script'
import { Busy, Standing } from './standing'
import { Launch, Reservation } from './promise'
import { Settings } from './settings'
import { Outlet, Show } from './show'
import { Step } from './step'

/** The single definition of every table that commands may change. */
export const schemas = {
  shows: Show,
  outlets: Outlet,
  recipes: Recipe,
  episodes: Episode,
  steps: Step,
  scripts: Script,
  keywords: Keyword,
  settings: Settings,
  standing: Standing,
  busy: Busy,
  reservations: Reservation,
  launches: Launch,
} as const
export type TableName = keyof typeof schemas
export type RecordOf<T extends TableName> = z.infer<(typeof schemas)[T]>

/** The tables' names, in the order in which a back-up lists them. */
export const tableNames: readonly TableName[] = [
  'shows',
  'outlets',
  'recipes',
  'episodes',
  'steps',
  'scripts',
  'keywords',
  'settings',
  'standing',
  'busy',
  'reservations',
  'launches',
]

/** The records that a command sees: maps by id. Never mutated; a change makes a new one. */
export type Records = { readonly [T in TableName]: ReadonlyMap<string, RecordOf<T>> }

/** Records with nothing in them. */
export function emptyRecords(): Records {
  return {
    shows: new Map(),
    outlets: new Map(),
    recipes: new Map(),
    episodes: new Map(),
    steps: new Map(),
    scripts: new Map(),
    keywords: new Map(),
    settings: new Map(),
    standing: new Map(),
    busy: new Map(),
    reservations: new Map(),
    launches: new Map(),
  }
}
