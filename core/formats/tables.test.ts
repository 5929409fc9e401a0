import fc from 'fast-check'
import { exampleEpisode, exampleRecords, refusalOf, valueOf } from '../examples'
import { fieldsOf } from '../ideas/fields'
import type { Episode } from '../records'
import { guessColumns, readFigure, readKeywords } from './keyword-table'
import { readRows, readTable, writeCsv, writeMarkdown } from './tables'

const records = exampleRecords([], 'small', {
  fields: [{ id: 'f', name: 'Stars', kind: 'stars', choices: [] }],
})
const fields = fieldsOf({
  shows: records.shows,
  recipes: records.recipes,
  keywords: new Map(),
  launches: new Map(),
  number: () => undefined,
})
const columns = [
  'code',
  'title',
  'note',
  'premise',
  'topics',
  'series',
  'standing',
  'nature',
  'rating',
  'meant',
  'own:Stars',
].flatMap((n) => fields.get(n) ?? [])
const read = (text: string, there: readonly Episode[]) =>
  readRows(valueOf(readTable(text)), fields, new Map(there.map((e) => [e.code, e])), (title, line) =>
    exampleEpisode({ id: `new${line}`, title: title || 'x', code: `N${line}A2` }),
  )

const nasty = fc.string({
  unit: fc.constantFrom(
    'a',
    'B',
    ' ',
    ',',
    ';',
    '"',
    "'",
    '|',
    '\n',
    '\\',
    '<',
    'br>',
    '&',
    '=',
    '-',
    '@',
    '\t',
    '#',
    'é',
    '’',
    '*',
  ),
  maxLength: 14,
})

test('CSV and Markdown of the columns shown come back without loss, whatever stands in them', () => {
  fc.assert(
    fc.property(
      nasty,
      nasty,
      fc.array(
        nasty.map((t) => t.trim()).filter((t) => t !== ''),
        { maxLength: 3 },
      ),
      fc.option(fc.integer({ min: 1, max: 5 })),
      (note, premise, topics, rating) => {
        const bare = exampleEpisode()
        const there = {
          ...bare,
          note,
          topics,
          idea: { ...bare.idea, premise, ...(rating === null ? {} : { rating, own: { f: rating } }) },
        }
        for (const text of [writeCsv([there], columns), writeMarkdown([there], columns)]) {
          expect(read(text, [there])).toMatchObject({ same: 1, changed: [], faults: [] })
          const back = read(text, [bare])
          expect(back.faults).toEqual([])
          const after = back.changed[0]?.after ?? bare
          expect({
            note: after.note,
            premise: after.idea.premise,
            topics: after.topics,
            rating: after.idea.rating,
            own: after.idea.own,
          }).toEqual({
            note,
            premise,
            topics,
            rating: rating ?? undefined,
            own: rating === null ? {} : { f: rating },
          })
        }
      },
    ),
    { numRuns: 300 },
  )
})

test('rows change what has their code, make new ideas without one, and are reported by line where wrong', () => {
  const there = exampleEpisode()
  const out = read(
    `Code,Title,Rating,Colour\n${there.code},Steaming oak ribs,4,red\n,"A new\none",2,\nZZ99,Lost,1,\n,,3,\n,Wrong,nine,`,
    [there],
  )
  expect(out.changed[0]?.after.idea.rating).toBe(4)
  expect(out.fresh.map((f) => f.after.title)).toEqual(['A new\none'])
  expect(out.faults).toEqual([
    { line: 5, sentence: expect.stringContaining('no episode ZZ99') },
    { line: 6, sentence: expect.stringContaining('no title') },
    { line: 7, sentence: 'Rating: “nine” is no rating. Write a number from 1 to 5.' },
  ])
  expect(out.unread).toEqual(['Colour'])
  expect(refusalOf(readTable('Title\n'))).toMatch(/no table/)
  expect(refusalOf(readTable('Title,Note\nA,"open\nB,c'))).toMatch(/quote is opened/)
})

test('figures with thousands marks, units and ranges', () => {
  const cases: [string, number | undefined | 'wrong'][] = [
    ['12,400', 12400],
    ['12.400', 12400],
    ['12 400', 12400],
    ["12'400", 12400],
    ['1,234,567', 1234567],
    ['1.2k', 1200],
    ['3M', 3_000_000],
    ['1,5 mio', 1_500_000],
    ['10.5', 11],
    ['1.234,56', 1235],
    ['1k – 10k', 3162],
    ['1–10k', 3162],
    ['100 to 1000', 316],
    ['0-10', 5],
    ['<10', 10],
    ['1M+', 1_000_000],
    ['', undefined],
    ['n/a', undefined],
    ['–', undefined],
    ['many', 'wrong'],
    ['10k-1k', 'wrong'],
    ['5 pcs', 'wrong'],
  ]
  for (const [text, figure] of cases) expect([text, readFigure(text)]).toEqual([text, figure])
})

test('keywords by any column names: guessed, remembered; wrong rows by line', () => {
  const table = valueOf(
    readTable(
      'Search term;Avg. monthly searches;Results;Remark\nsteam bending;1,2k;3 400 000;try\n;5;5;\noak ribs;lots;9;\ntar;;;',
    ),
  )
  const guess = guessColumns(table.columns)
  expect(guess).toEqual({
    words: 'Search term',
    searches: 'Avg. monthly searches',
    competing: 'Results',
    notes: 'Remark',
  })
  const out = readKeywords(table, guess)
  expect(out.rows).toEqual([
    { line: 2, words: 'steam bending', searches: 1200, competing: 3_400_000, notes: 'try' },
    { line: 5, words: 'tar', notes: '' },
  ])
  expect(out.faults.map((f) => f.line)).toEqual([3, 4])
  const mine = { words: 'Remark', searches: '', competing: '', notes: '' }
  expect(guessColumns(table.columns, mine)).toEqual(mine)
  expect(guessColumns(['A', 'B'], mine)).toEqual({ words: 'A', searches: '', competing: '', notes: '' })
})
