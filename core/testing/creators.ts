import { firstOutlet } from '../commands/shows/first-outlet'
import { freshSettings } from '../commands/settings/fresh-settings'
import { newIdea } from '../commands/ideas/new-idea'
import { exampleAt, exampleShow } from '../examples'
import { emptyRecords, type Episode, type Records, type Show } from '../records'
import { fullRecipe } from '../recipe/starters'

/** A creator that tests live through: their hours from Monday to Sunday in minutes, and the shows that they promise. */
export interface Creator {
  name: string
  zone: string
  hours: readonly number[]
  /** Who edits their videos, if anybody. */
  helper?: string
  shows: readonly { id: string; kind: Show['kind']; rule: string; guest?: string }[]
}

const weekly = 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH'
const fortnightly = 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU'

/** Three creators: uneven hours with both shows, forty hours a week with a helper, two evenings with guests. */
export const creators: readonly Creator[] = [
  {
    name: 'uneven hours',
    zone: 'Australia/Sydney',
    hours: [60, 0, 180, 120, 0, 300, 120],
    helper: 'Pell',
    shows: [
      { id: 'tiller', kind: 'video', rule: weekly },
      { id: 'harbour', kind: 'audio', rule: fortnightly, guest: 'Ines Varga' },
    ],
  },
  {
    name: 'forty hours',
    zone: 'Europe/Lisbon',
    hours: [480, 480, 480, 480, 480, 0, 0],
    helper: 'Pell',
    shows: [{ id: 'tiller', kind: 'video', rule: weekly }],
  },
  {
    name: 'two evenings',
    zone: 'America/Chicago',
    hours: [0, 150, 0, 150, 0, 0, 0],
    shows: [{ id: 'harbour', kind: 'audio', rule: fortnightly, guest: 'Tomas Ek' }],
  },
]

const titles = [
  'Ribs',
  'Keel',
  'Spar',
  'Oars',
  'Tar',
  'Rope',
  'Lanterns',
  'Ferry',
  'Moorings',
  'Paint',
  'Sails',
  'Knots',
]

/** A creator's records before anything is promised: shows with the full recipe, and a dozen ideas for each. */
export function recordsFor({ zone, hours, shows }: Creator): Records {
  const records = emptyRecords()
  const episodes: Episode[] = shows.flatMap(({ id: show, guest }, s) =>
    titles.map((title, i): Episode => {
      const id = `${show}${i}`
      const made = newIdea(records, show, title, { now: Date.parse(exampleAt), id: () => id })
      return {
        ...made,
        id,
        code: `A${'BCDEFGHJKLMN'[i] ?? ''}${s + 2}2`,
        guests: guest === undefined ? [] : [guest],
      }
    }),
  )
  return {
    ...records,
    shows: new Map(
      shows.map(({ id, kind, rule }) => [
        id,
        exampleShow({
          id,
          kind,
          zone,
          title: kind === 'video' ? 'Tern & Tiller' : 'Harbour Hours',
          prefix: kind === 'video' ? '#' : 'HH ',
          rhythm: { rule, start: '2026-11-03', time: kind === 'video' ? '17:00' : '06:30' },
          recipe: `recipe ${id}`,
          outlets: [`outlet ${id}`],
        }),
      ]),
    ),
    recipes: new Map(
      shows.map(({ id, kind }) => [`recipe ${id}`, fullRecipe(`recipe ${id}`, kind, exampleAt)]),
    ),
    outlets: new Map(
      shows.map(({ id, kind }) => [`outlet ${id}`, firstOutlet(`outlet ${id}`, kind, exampleAt)]),
    ),
    settings: new Map([['settings', { ...freshSettings(exampleAt), hours: [...hours] }]]),
    episodes: new Map(episodes.map((e) => [e.id, e])),
  }
}
