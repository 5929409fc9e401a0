import fc from 'fast-check'
import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf, valueOf } from '../examples'
import { keepFigures } from '../commands/figures'
import { episodeNames } from '../results/match'
import { guessFigureColumns, readFigures } from './figure-table'
import { readDay } from './read-day'
import { readTable } from './tables'

const episodes = [
  exampleEpisode({
    ...{ id: 'e1', code: 'AB21', title: 'Choosing larch at the mill', number: 40 },
    addresses: { outlet: 'https://video.example/watch/40' },
  }),
  exampleEpisode({ id: 'e2', code: 'AB22', title: 'Salt in the bearings', number: 41 }),
  exampleEpisode({ id: 'e3', code: 'AB23', title: 'Twins' }),
  exampleEpisode({ id: 'e4', code: 'AB24', title: 'Twins' }),
]
const records = exampleRecords(episodes)
const of = {
  names: episodeNames(records.episodes.values(), records.shows),
  ageOn: (_: string, day: string) => Number(day.slice(-2)) - 12,
  today: '2026-11-24',
}
function read(text: string) {
  const table = valueOf(readTable(text))
  return readFigures(table, guessFigureColumns(table.columns), of)
}

test('any columns: titles, numbers, codes and addresses find their episode; shares, thousands and hours are read', () => {
  const { rows, faults } = read(
    [
      'Title;Counted on;Views;Watch hours;Press rate;Followers gained',
      'choosing LARCH, at the mill!;2026-11-19;3.150;120;4,2 %;-3',
      '#41;24.11.2026;1.2k;;0.05;',
      'AB21;Nov 20, 2026;10;1;2;0',
      'www.video.example/watch/40/;2026-11-24;11;;;',
    ].join('\n'),
  )
  expect(faults).toEqual([])
  expect(rows.map((r) => [r.episode, r.figure])).toEqual([
    ['e1', { age: 7, views: 3150, watch: 7200, pressed: 0.042, gained: -3 }],
    ['e2', { age: 12, views: 1200, pressed: 0.05 }],
    ['e1', { age: 8, views: 10, watch: 60, pressed: 0.02, gained: 0 }],
    ['e1', { age: 12, views: 11 }],
  ])
})

test('what is wrong is said by its line, and the rest is taken', () => {
  const { rows, faults } = read(
    'Episode,Age,Views,Likes\nAB21,7,100,5\nNobody,7,1,1\nAB21,soon,1,1\nAB22,7,many,1\nTwins,7,1,1\nAB22,7,,\n,7,1,1',
  )
  expect(rows).toHaveLength(1)
  expect(faults).toEqual([
    { line: 3, sentence: 'No released episode is called “Nobody”.' },
    { line: 4, sentence: '“soon” is no age. Write whole days, for example 7.' },
    { line: 5, sentence: '“many” is no figure. Write it as 12400, 12,400 or 12.4k.' },
    { line: 6, sentence: 'No released episode is called “Twins”.' },
    { line: 7, sentence: 'There is no figure in it.' },
    { line: 8, sentence: 'It names no episode.' },
  ])
})

test('kept twice changes nothing, and the order of rows does not matter', () => {
  const row = fc.record({
    episode: fc.constantFrom('e1', 'e2', 'e3'),
    age: fc.constantFrom(1, 7, 28),
    views: fc.nat({ max: 9999 }),
  })
  const unique = fc.uniqueArray(row, { selector: (r) => `${r.episode} ${r.age}`, minLength: 1 })
  fc.assert(
    fc.property(unique, (rows) => {
      const wish = rows.map(({ episode, age, views }) => ({ episode, figure: { age, views } }))
      const kept = after(records, keepFigures(records, { rows: wish }, exampleContext()))
      const back = after(records, keepFigures(records, { rows: [...wish].reverse() }, exampleContext()))
      const figures = (r: typeof kept) => [...r.episodes.values()].map((e) => e.figures)
      expect(figures(back)).toEqual(figures(kept))
      expect(figures(kept).flat()).toHaveLength(rows.length)
      expect(refusalOf(keepFigures(kept, { rows: wish }, exampleContext()))).toMatch(/nothing new/)
    }),
    { numRuns: 40 },
  )
})

test('a figure says more of the same age without losing what was there', () => {
  const first = after(
    records,
    keepFigures(records, { rows: [{ episode: 'e1', figure: { age: 7, views: 9 } }] }, exampleContext()),
  )
  const rows = [{ episode: 'e1', figure: { age: 7, likes: 2 } }]
  const both = after(first, keepFigures(first, { rows }, exampleContext()))
  expect(both.episodes.get('e1')?.figures).toEqual([{ age: 7, views: 9, likes: 2 }])
})

test.each([
  ['2026-11-24', '2026-11-24'],
  ['2026-11-24T17:00:00Z', '2026-11-24'],
  ['24.11.2026', '2026-11-24'],
  ['11/24/2026', '2026-11-24'],
  ['4/5/2026', '2026-05-04'],
  ['Tue, 24 Nov 2026 17:00:00 GMT', '2026-11-24'],
  ['24 November 2026', '2026-11-24'],
  ['Nov 24, 2026', '2026-11-24'],
  ['30.02.2026', undefined],
  ['soon', undefined],
])('a date in a table: %s', (text, day) => {
  expect(readDay(text)).toBe(day)
})
