import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf, valueOf } from '../../examples'
import { readTable } from '../../formats/tables'
import { withChanges, inverse } from '../change'
import { tableChanges } from './table-changes'
import { takeTable } from './take-table'

const there = exampleEpisode()
const records = exampleRecords([there])
const table = valueOf(
  readTable(
    `Code,Title,Topics,Rating,Release\n${there.code},Steaming ribs,Hulls; Oars,5,2020-01-01\n,A fresh one,Oars,,\n,Another,,seven,\n`,
  ),
)

test('a table changes what has its code and adds the rest, as one step back; derived columns are not read', () => {
  const done = takeTable(records, { table, show: 'show' }, exampleContext())
  const next = after(records, done)
  expect(next.episodes.get(there.id)).toMatchObject({
    title: 'Steaming ribs',
    topics: ['Hulls', 'Oars'],
    idea: { rating: 5 },
    place: { kind: 'nothing' },
  })
  expect([...next.episodes.values()].map((e) => e.title)).toEqual(['Steaming ribs', 'A fresh one'])
  expect(valueOf(done).sentence).toBe('Took in a table: 1 changed, 1 new')
  expect(withChanges(next, inverse(valueOf(done).changes)).episodes).toEqual(records.episodes)
})

test('what it would do is said before, with the wrong rows by line', () => {
  const changes = tableChanges(records, table, 'show', exampleContext())
  expect(changes.faults).toEqual([
    { line: 4, sentence: 'Rating: “seven” is no rating. Write a number from 1 to 5.' },
  ])
  expect(changes.unread).toEqual(['Release'])
  expect(new Set(changes.fresh.map((f) => f.after.code)).has(there.code)).toBe(false)
})

test('refused when nothing differs, or the show is gone', () => {
  const same = valueOf(readTable(`Code,Title\n${there.code},${there.title}\n`))
  expect(refusalOf(takeTable(records, { table: same, show: 'show' }, exampleContext()))).toMatch(
    /Nothing in the table differs/,
  )
  expect(refusalOf(takeTable(records, { table, show: 'gone' }, exampleContext()))).toMatch(/no longer there/)
})
