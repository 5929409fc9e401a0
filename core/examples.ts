import { type Context, type Outcome, withChanges } from './commands/change'
import { newIdea } from './commands/ideas/new-idea'
import { freshSettings } from './commands/settings/fresh-settings'
import { firstOutlet } from './commands/shows/first-outlet'
import {
  emptyRecords,
  type Episode,
  type Recipe,
  type Records,
  type Script,
  type Show,
  type Step,
} from './records'
import { fullRecipe, smallRecipe } from './recipe/starters'
import type { Result } from './result'

/**
 * Small records for tests and benchmarks: one show in Lisbon, Thursdays 17:00, at Tuesday 24 November 2026,
 * 09:00.
 */
export const exampleNow = Date.parse('2026-11-24T09:00:00.000Z')
export const exampleAt = '2026-11-24T09:00:00.000Z'

/** A context with ids that count up, so that a test reads the same each time. */
export function exampleContext(now = exampleNow): Context {
  let n = 0
  return { now, id: () => `id${++n}` }
}

export function exampleShow(fields: Partial<Show> = {}): Show {
  return {
    id: 'show',
    title: 'Tern & Tiller',
    kind: 'video',
    zone: 'Europe/Lisbon',
    prefix: '#',
    nextNumber: 1,
    rhythm: { rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH', start: '2026-11-05', time: '17:00' },
    skipped: [],
    moved: {},
    recipe: 'recipe',
    outlets: ['outlet'],
    aim: { from: 8, to: 11 },
    pace: { camera: 150, voice: 160 },
    readyAhead: 2,
    topics: [],
    fields: [],
    notes: '',
    createdAt: exampleAt,
    updatedAt: exampleAt,
    ...fields,
  }
}

export function exampleEpisode(fields: Partial<Episode> = {}): Episode {
  const id = fields.id ?? 'episode'
  return {
    ...newIdea(emptyRecords(), 'show', 'Steaming oak ribs', { now: exampleNow, id: () => id }),
    ...fields,
  }
}

export function exampleStep(fields: Partial<Step> & { id: string }): Step {
  return {
    episode: 'episode',
    stage: 'script',
    name: fields.id,
    kind: 'write',
    minutes: 60,
    logged: 0,
    lead: { kind: 'before', days: 0 },
    needs: [],
    owner: 'me',
    required: true,
    blocks: [],
    order: 0,
    createdAt: exampleAt,
    updatedAt: exampleAt,
    ...fields,
  }
}

/** A script from lines: one section a key, one beat a line. */
export function exampleScript(sections: Record<string, string[]>, id = 'episode'): Script {
  return {
    id,
    sections: Object.entries(sections).map(([title, lines]) => ({
      id: title,
      title,
      beats: lines.map((text, i) => ({
        id: `${title}/${i}`,
        delivery: 'camera' as const,
        text,
        hold: 0,
        cues: [],
      })),
    })),
    createdAt: exampleAt,
    updatedAt: exampleAt,
  }
}

/**
 * Records with one show, its recipe (small or full) and outlet, ten hours a week from Monday to Friday, and
 * some episodes.
 */
export function exampleRecords(
  episodes: Episode[] = [],
  recipe: 'small' | 'full' = 'small',
  show: Partial<Show> = {},
): Records {
  const made: Recipe =
    recipe === 'small' ? smallRecipe('recipe', 'video', exampleAt) : fullRecipe('recipe', 'video', exampleAt)
  return {
    ...emptyRecords(),
    shows: new Map([['show', exampleShow(show)]]),
    recipes: new Map([['recipe', made]]),
    outlets: new Map([['outlet', firstOutlet('outlet', 'video', exampleAt)]]),
    settings: new Map([
      ['settings', { ...freshSettings(exampleAt), hours: [120, 120, 120, 120, 120, 0, 0] }],
    ]),
    episodes: new Map(episodes.map((e) => [e.id, e])),
  }
}

/** The value of a result that a test expects to be fine; throws its sentence where it isn't. */
export function valueOf<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(result.problem.sentence)
  return result.value
}

/** The sentence of a result that a test expects to be refused. */
export function refusalOf(result: Result<unknown>): string {
  if (result.ok) throw new Error('It was not refused')
  return result.problem.sentence
}

/** The records after a command that a test expects to be fine. */
export function after(records: Records, done: Result<Outcome>): Records {
  return withChanges(records, valueOf(done).changes)
}
