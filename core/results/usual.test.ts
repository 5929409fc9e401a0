import { exampleEpisode } from '../examples'
import { timesUsual } from './usual'

const out = (id: string, views: number, age = 28) =>
  exampleEpisode({
    id,
    phase: { kind: 'released', at: '2026-11-01T17:00:00.000Z' },
    figures: [{ age, views }],
  })

describe('against the usual', () => {
  test('is the multiple of the median of the ten before, at the same age', () => {
    const times = timesUsual([out('a', 100), out('b', 200), out('c', 300), out('d', 400)])
    expect([...times]).toEqual([['d', 2]])
  })

  test('figures of another age do not count', () => {
    const times = timesUsual([out('a', 100), out('b', 100), out('c', 100, 7), out('d', 400)])
    expect(times.size).toBe(0)
  })
})
