import { exampleContext, exampleEpisode, exampleRecords, refusalOf, valueOf } from '../examples'
import { withChanges, checked, inverse, merged, putRecord, removeRecord } from './change'

const records = exampleRecords([exampleEpisode()])

describe('changes', () => {
  test('are applied without touching what was there; untouched tables stay the same ones', () => {
    const next = withChanges(records, [putRecord(records, 'episodes', exampleEpisode({ title: 'New' }))])
    expect(next.episodes.get('episode')?.title).toBe('New')
    expect(records.episodes.get('episode')?.title).toBe('Steaming oak ribs')
    expect(next.shows).toBe(records.shows)
  })

  test('their inverse gives the records from before', () => {
    const changes = [
      putRecord(records, 'episodes', exampleEpisode({ title: 'New' })),
      putRecord(records, 'episodes', exampleEpisode({ id: 'other' })),
      removeRecord(records, 'shows', 'show'),
    ]
    expect(withChanges(withChanges(records, changes), inverse(changes))).toEqual(records)
  })

  test('one after the other, they span from the first before to the last after', () => {
    const first = putRecord(records, 'episodes', exampleEpisode({ title: 'One' }))
    const second = putRecord(withChanges(records, [first]), 'episodes', exampleEpisode({ title: 'Two' }))
    const [span, ...rest] = merged([first], [second])
    expect(rest).toEqual([])
    expect(span?.before).toEqual(first.before)
    expect(span?.after).toEqual(second.after)
  })

  test('a record that breaks its schema is refused with its path', () => {
    const done = {
      changes: [
        putRecord(records, 'episodes', exampleEpisode({ place: { kind: 'slot', day: '2026-02-30' } })),
      ],
      sentence: '',
      about: [],
    }
    const result = checked(done)
    expect(refusalOf(result)).toMatch(/not a date that exists/)
    expect(result).toMatchObject({ problem: { path: 'episodes.place.day' } })
    expect(valueOf(checked({ ...done, changes: [] })).changes).toEqual([])
  })

  test('ids of an example context differ', () => {
    const context = exampleContext()
    expect(context.id()).not.toBe(context.id())
  })
})
