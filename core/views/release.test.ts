import Papa from 'papaparse'
import { batchTable } from '../formats/batch-table'
import { firstOutlet } from '../commands/shows/first-outlet'
import { handOver } from '../commands/release/hand-over'
import { after, exampleAt, exampleContext, exampleNow } from '../examples'
import type { Episode, Outlet, Records } from '../records'
import { partsAt } from '../release/part-at'
import { exampleWorld, viewOf } from './example-cards'
import { leadOf, releaseView } from './release'

const letter: Outlet = {
  ...firstOutlet('letter', 'video', exampleAt),
  name: 'Newsletter',
  required: ['title', 'description'],
  takes: ['title', 'description'],
  when: { kind: 'minutes', minutes: 30 },
}
/** The example's show with a letter half an hour after, and what is said changed in its first episode. */
function world(change: (e: Episode) => Episode = (e) => e): Records {
  const records = exampleWorld()
  const [show] = records.shows.values()
  const first = records.episodes.get('e0')
  if (!show || !first) throw new Error('no example')
  return {
    ...records,
    outlets: new Map([...records.outlets, [letter.id, letter]]),
    shows: new Map([[show.id, { ...show, outlets: [...show.outlets, letter.id] }]]),
    episodes: new Map([...records.episodes, ['e0', change(first)]]),
  }
}
const seen = (records: Records) => releaseView(viewOf(records).cards, exampleNow)
const described = (e: Episode): Episode => ({
  ...e,
  brief: { ...e.brief, description: 'Ribs, bent cold.' },
  titles: [{ id: 't', text: 'Ribs' }],
  chosenTitle: 't',
})

test('what goes out stands by outlet, each at its own moment; a release behind two weeks does not', () => {
  const { rows, week } = seen(world())
  expect(rows.map((r) => [r.outlet.name, r.things.map((t) => t.card.title), r.soon])).toEqual([
    ['Video site', ['Ribs', 'Keel'], 1],
    ['Newsletter', ['Ribs', 'Keel'], 1],
  ])
  expect(week.map((t) => [t.outlet.name, new Date(t.at).toISOString().slice(11, 16)])).toEqual([
    ['Video site', '17:00'],
    ['Newsletter', '17:30'],
  ])
})

test('a move mends a part wherever it goes out; the one that mends most a minute leads', () => {
  const before = seen(world())
  const shared = before.moves.find((m) => m.part === 'description')
  expect(shared?.mends.map((t) => t.outlet.name)).toEqual(['Video site', 'Newsletter'])
  expect(before.moves.filter((m) => m.part === 'tags').map((m) => m.mends.length)).toEqual([1])
  // Nothing in this week's moves is of next week's release.
  expect(new Set(before.moves.map((m) => m.card.episode.id))).toEqual(new Set(['e0']))
  const worth = before.moves.map((m) => m.mends.length / Math.max(1, m.minutes))
  expect(worth).toEqual([...worth].sort((a, b) => b - a))
  expect(leadOf(before)).toBe(
    `${before.moves[0]?.label} next: ${before.moves[0]?.mends.length} of the 2 unready things need it.`,
  )
})

test('where its outlet’s required parts pass a thing is ready, whatever others ask', () => {
  const { week, rows } = seen(world(described))
  expect(week.map((t) => [t.outlet.name, t.isReady])).toEqual([
    ['Video site', false],
    ['Newsletter', true],
  ])
  expect(rows.map((r) => r.ready)).toEqual([0, 1])
})

test('what was seen live is asked about no more; what should be out and was not seen still is', () => {
  const late = exampleNow + 3 * 86_400_000
  const all = viewOf(world(described)).cards
  expect(releaseView(all, late).week.map((t) => t.outlet.name)).toContain('Newsletter')
  const records = world(described)
  const told = after(
    records,
    handOver(records, { episode: 'e0', key: 'letter', state: 'live', on: true }, exampleContext(late)),
  )
  expect(releaseView(viewOf(told).cards, late).rows[1]?.things.map((t) => t.card.title)).toEqual(['Keel'])
})

test('an outlet’s fields: what it takes alone, its own words, its limits', () => {
  const [card] = viewOf(
    world((e) => ({ ...described(e), otherwise: { letter: { title: 'Oak, bent cold' } } })),
  ).cards
  if (!card) throw new Error('no card')
  const fields = partsAt({ ...letter, titleLimit: 10, standing: { comment: 'First.' } }, card)
  expect(fields.map((f) => [f.field, f.state, f.text])).toEqual([
    ['title', 'failing', 'Oak, bent cold'],
    ['description', 'there', expect.stringContaining('Ribs, bent cold.')],
    ['comment', 'there', 'First.'],
  ])
  expect(fields[0]?.limit).toBe('14 of 10 characters')
  expect(fields[0]?.share).toBe(1)
})

test('what is said otherwise at the only outlet that lacks it is there, and lacks elsewhere', () => {
  const { week, moves } = seen(
    world((e) => ({ ...e, otherwise: { letter: { title: 'A', description: 'B' } } })),
  )
  const [video, own] = week
  expect(own?.lacking).toEqual([])
  expect(own?.parts.map((p) => [p.field, p.text])).toEqual([
    ['title', 'A'],
    ['description', 'B'],
  ])
  expect(video?.lacking.map((p) => p.field)).toContain('description')
  expect(moves.find((m) => m.part === 'description')?.mends.map((t) => t.outlet.name)).toEqual(['Video site'])
})

test('a batch is a table, a row each, with what it lacks and no cell that a table would reckon with', () => {
  const { week } = seen(
    world((e) => ({
      ...described(e),
      otherwise: { letter: { title: '=SUM(1;2)', description: 'Two\nlines, "so"' } },
    })),
  )
  const { data } = Papa.parse<Record<string, string>>(batchTable(week, 'Europe/Lisbon').trim(), {
    header: true,
  })
  expect(data.map((r) => [r['Outlet'], r['Date'], r['Time'], r['Title'], r['Lacks'] === ''])).toEqual([
    ['Video site', '2026-11-26', '17:00', 'Ribs', false],
    ['Newsletter', '2026-11-26', '17:30', "'=SUM(1;2)", true],
  ])
  expect(data[1]?.['Description']).toBe('Two\nlines, "so"')
})
