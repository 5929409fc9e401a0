import { z } from 'zod'
import { Id, Moment } from './basics'
import { Episode } from './episode'
import { Keyword } from './keyword'
import { Recipe } from './recipe'
import { Script } from './script'
import { Launch, Reservation } from './promise'
import { Settings } from './settings'
import { Outlet, Show } from './show'
import { Busy, Standing } from './standing'
import { Step } from './step'

/** One record before and after; absent where it isn't there. A command's whole effect is a list of these. */
export const Change = z.discriminatedUnion('table', [
  z.object({ table: z.literal('shows'), id: Id, before: Show.optional(), after: Show.optional() }),
  z.object({ table: z.literal('outlets'), id: Id, before: Outlet.optional(), after: Outlet.optional() }),
  z.object({ table: z.literal('recipes'), id: Id, before: Recipe.optional(), after: Recipe.optional() }),
  z.object({ table: z.literal('episodes'), id: Id, before: Episode.optional(), after: Episode.optional() }),
  z.object({ table: z.literal('steps'), id: Id, before: Step.optional(), after: Step.optional() }),
  z.object({ table: z.literal('scripts'), id: Id, before: Script.optional(), after: Script.optional() }),
  z.object({ table: z.literal('keywords'), id: Id, before: Keyword.optional(), after: Keyword.optional() }),
  z.object({ table: z.literal('settings'), id: Id, before: Settings.optional(), after: Settings.optional() }),
  z.object({ table: z.literal('standing'), id: Id, before: Standing.optional(), after: Standing.optional() }),
  z.object({ table: z.literal('busy'), id: Id, before: Busy.optional(), after: Busy.optional() }),
  z.object({
    table: z.literal('reservations'),
    id: Id,
    before: Reservation.optional(),
    after: Reservation.optional(),
  }),
  z.object({ table: z.literal('launches'), id: Id, before: Launch.optional(), after: Launch.optional() }),
])
export type Change = z.infer<typeof Change>

/**
 * One thing that was done: a line of history, and what undo needs. `done` counts, `undone` can be done again,
 * `dropped` was undone and then overtaken by something else. Old lines keep their sentence alone.
 */
export const JournalLine = z.object({
  seq: z.number().int().min(1),
  at: Moment,
  sentence: z.string(),
  about: z.array(Id),
  state: z.enum(['done', 'undone', 'dropped']),
  tab: z.string(),
  merge: z.string().optional(),
  /** The counts of writes, over all tabs, at which it was first and last written. */
  from: z.number().int().optional(),
  rev: z.number().int().optional(),
  changes: z.array(Change),
})
export type JournalLine = z.infer<typeof JournalLine>
