import type { Episode } from '../records'
import { exampleEpisode } from '../examples'
import { swapsOf } from './swap'

const now = Date.parse('2026-11-24T09:00:00.000Z')
const picture = (id: string) => ({
  id,
  name: id,
  type: 'image/png' as const,
  width: 1280,
  height: 720,
  size: 1,
})
const out = (id: string, days: number, views: number, more: Partial<Episode> = {}) =>
  exampleEpisode({
    id,
    phase: { kind: 'released', at: new Date(now - days * 86_400_000).toISOString() },
    figures: [{ age: 2, views }],
    pictures: [picture('a'), picture('b')],
    chosenPicture: 'a',
    ...more,
  })
const before = [out('1', 30, 100), out('2', 23, 120), out('3', 16, 110)]
const proposed = (last: Episode) =>
  swapsOf([...before, last], now).map((s) => [s.episode.id, s.times, s.instead.id])

test('a swap is proposed after two days below the usual, with the runner-up at hand', () => {
  expect(proposed(out('4', 3, 55, { runnerUp: 'b' }))).toEqual([['4', 0.5, 'b']])
})

test.each([
  ['above the usual', 3, 200, { runnerUp: 'b' }],
  ['no runner-up', 3, 55, {}],
  ['the runner-up is gone', 3, 55, { runnerUp: 'z' }],
  ['swapped already', 3, 55, { runnerUp: 'b', swapped: '2026-11-23T09:00:00.000Z' }],
  ['out for a day', 1, 55, { runnerUp: 'b' }],
  ['figures of the first day alone', 3, 55, { runnerUp: 'b', figures: [{ age: 1, views: 1 }] }],
])('none: %s', (_why, days, views, more: Partial<Episode>) => {
  expect(proposed(out('4', days, views, more))).toEqual([])
})
