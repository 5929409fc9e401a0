import { exampleEpisode, exampleNow, exampleRecords } from '../examples'
import { countable, figureFrom } from './from-outlet'

const taken = (going: string) => ({ taken: { address: 'https://video.example/1', at: going, going } })
const records = exampleRecords([
  exampleEpisode({ id: 'out', code: 'AB21', handed: { outlet: taken('2026-11-19T17:00:00.000Z') } }),
  exampleEpisode({ id: 'soon', code: 'AB22', handed: { outlet: taken('2026-11-26T17:00:00.000Z') } }),
  exampleEpisode({
    ...{ id: 'known', code: 'AB23', handed: { outlet: taken('2026-11-19T17:00:00.000Z') } },
    figures: [{ age: 5, outlet: 'outlet', views: 10 }],
  }),
  exampleEpisode({ id: 'excerpt', code: 'AB24', handed: { 'outlet/1': taken('2026-11-19T17:00:00.000Z') } }),
])
const joined = new Map(
  [...records.outlets].map(([id, o]) => [id, { ...o, line: { kind: 'stand-in' as const, key: 'k' } }]),
)

test('an outlet is asked about what is out there, once for each day; excerpts are not the episode', () => {
  const found = countable(records.episodes.values(), records.shows, joined, exampleNow)
  expect(found.map((c) => [c.episode, c.age])).toEqual([['out', 5]])
  expect(found.map((c) => figureFrom(c, { views: 812 }))).toEqual([{ age: 5, outlet: 'outlet', views: 812 }])
  expect(countable(records.episodes.values(), records.shows, records.outlets, exampleNow)).toEqual([])
})
