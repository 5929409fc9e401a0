import { type Day, type Form, type Outlet, type Recipe, type Show } from '@core/records'
import { fullRecipe } from '@core/recipe/starters'
import { addDays } from '@core/rhythm/days'

import { besides, demoOutlets } from './outlets'
import { shorter, workshop, ownOutline } from './recipes'

/** The zone of the demo world. */
export const zone = 'Europe/Lisbon'

/** The kinds of episode of both shows. */
const forms: Readonly<Record<Show['kind'], Form[]>> = {
  video: [
    { id: 'tutorial', name: 'tutorial' },
    { id: 'story', name: 'story' },
    { id: 'letter', name: 'letter', recipe: 'recipe-short' },
  ],
  audio: [
    { id: 'talk', name: 'talk' },
    { id: 'walk', name: 'walk' },
  ],
}

/** What is told rather than taught, and what is walked through without a guest. */
const told = /^(I |My |What |Why my|The centreboard|Launching|The first|384|The boat tent)/
const walked = /^(Night tides|What a harbour|The net loft|Low water)/

/** Which kind an episode of a title is. */
export function formOfTitle(kind: Show['kind'], title: string): string {
  if (kind === 'audio') return walked.test(title) ? 'walk' : 'talk'
  return told.test(title) ? 'story' : 'tutorial'
}

/** The shows of the demo world, their recipes and outlets. `thursday` is the next release of the boats. */
export function demoShows(
  at: string,
  thursday: Day,
): {
  recipes: Recipe[]
  outlets: Outlet[]
  boats: Show
  talks: Show
} {
  const full = (id: string, kind: Show['kind']): Recipe => ({
    ...fullRecipe(id, kind, at),
    outline: ownOutline(kind),
    call:
      kind === 'video'
        ? 'New boat work every Thursday at five.\nDrawings and letters: the box at the slip.'
        : 'A new talk every second Tuesday, before the first ferry.',
  })
  const recipes = [
    workshop(full('recipe-boats', 'video')),
    full('recipe-talks', 'audio'),
    shorter(full('recipe-short', 'video')),
  ]
  const outlets = demoOutlets(at)
  const show = (
    id: string,
    kind: Show['kind'],
    fields: Pick<Show, 'title' | 'prefix' | 'nextNumber' | 'rhythm' | 'aim' | 'topics' | 'readyAhead'>,
  ): Show => ({
    id,
    kind,
    zone,
    skipped: [],
    moved: {},
    recipe: kind === 'video' ? 'recipe-boats' : 'recipe-talks',
    ...(kind === 'video' ? { recipes: ['recipe-short'] } : {}),
    forms: forms[kind],
    outlets: [kind === 'video' ? 'outlet-video' : 'outlet-feed', ...besides],
    pace: { camera: 150, voice: 160 },
    fields: [],
    notes: '',
    createdAt: id === 'boats' ? at : new Date(Date.parse(at) + 1000).toISOString(),
    updatedAt: at,
    ...fields,
  })
  const boats = show('boats', 'video', {
    title: 'Tern & Tiller',
    prefix: '#',
    nextNumber: 1,
    rhythm: { rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH', start: addDays(thursday, -7 * 41), time: '17:00' },
    aim: { from: 8, to: 11 },
    readyAhead: 4,
    topics: [
      'Hulls',
      'Planking',
      'Spars and sails',
      'Fastenings',
      'Finish',
      'Workshop',
      'Oars',
      'Afloat',
    ].map((name) => ({ name, share: 0.125 })),
  })
  const talks = show('talks', 'audio', {
    title: 'Harbour Hours',
    prefix: 'HH ',
    nextNumber: 1,
    rhythm: {
      rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU',
      start: addDays(thursday, 5 - 14 * 18),
      time: '06:30',
    },
    aim: { from: 5, to: 8 },
    readyAhead: 2,
    topics: ['Ferries', 'Lights', 'Fishing', 'Yards', 'Tides', 'Harbour life'].map((name) => ({
      name,
      share: 1 / 6,
    })),
  })
  return { recipes, outlets, boats, talks }
}
