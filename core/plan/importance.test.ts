import { exampleAt, exampleEpisode } from '../examples'
import type { Launch } from '../records'
import { importanceOf, nextPriority } from './importance'

const launch: Launch = {
  id: 'l',
  name: 'Drawings',
  from: '2027-01-04',
  to: '2027-01-10',
  runUp: 21,
  wanted: 2,
  episodes: ['episode'],
  note: '',
  createdAt: exampleAt,
  updatedAt: exampleAt,
}

describe('importance', () => {
  test.each([
    ['nothing said', {}, [], { level: 0, raised: [], weight: 1 }],
    ['said by hand', { priority: 1 }, [], { level: 1, raised: [], weight: 2 }],
    [
      'sponsored',
      { sponsor: 'Kelpline Rope' },
      [],
      { level: 1, raised: ['sponsored by Kelpline Rope'], weight: 3 },
    ],
    [
      'before a launch, and said',
      { priority: 1 },
      [launch],
      { level: 2, raised: ['leads up to Drawings'], weight: 3 },
    ],
    ['before a launch of others', { id: 'other' }, [launch], { level: 0, raised: [], weight: 1 }],
  ])('%s', (_what, fields, launches, is) => {
    expect(importanceOf(exampleEpisode(fields), launches)).toEqual(is)
  })

  test('goes up a level at a time and back to nothing said; what rises by itself needs one less', () => {
    const levels = (fields: Parameters<typeof exampleEpisode>[0]) => {
      let e = exampleEpisode(fields)
      return [0, 1, 2].map(() => {
        e = { ...e, priority: nextPriority(e, importanceOf(e, [])) }
        return importanceOf(e, []).level
      })
    }
    expect(levels({})).toEqual([1, 2, 0])
    expect(levels({ sponsor: 'Kelpline Rope' })).toEqual([2, 1, 2])
  })
})
