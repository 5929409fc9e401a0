import fc from 'fast-check'
import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf } from '../examples'
import { linkEpisodes, notePasted } from '../commands/catalogue'
import { chartCsv } from '../formats/chart-csv'
import { readTable } from '../formats/tables'
import type { Episode, Records } from '../records'
import {
  answerOf,
  bareRows,
  catalogueRows,
  catalogueTable,
  neighbours,
  passes,
  sumsOf,
} from '../views/catalogue'
import { arcsOf, countLinks, lineOf, livesAt, toPaste } from './links'

const out = (i: number, fields: Partial<Episode> = {}) =>
  exampleEpisode({
    ...{ id: `e${i}`, code: `AB2${i}`, number: i, title: `Board ${i}` },
    phase: { kind: 'released', at: `2026-10-0${i}T16:00:00.000Z` },
    addresses: { outlet: `https://video.example/watch/${i}` },
    ...fields,
  })
const records = exampleRecords([1, 2, 3].map((i) => out(i)).concat(out(4, { addresses: {} })))
const c = exampleContext()
const arcs = (r: Records) => arcsOf(r.episodes.values(), livesAt(r.episodes.values()))
const link = (r: Records, episode: string, ...others: string[]) =>
  after(r, linkEpisodes(r, { episode, others }, c))

test('two episodes are linked both ways, once; what has no address is linked from one side', () => {
  const linked = link(records, 'e1', 'e2', 'e4')
  expect(arcs(linked)).toEqual([
    { from: 'e1', to: 'e2' },
    { from: 'e2', to: 'e1' },
    { from: 'e4', to: 'e1' },
  ])
  expect(Object.fromEntries(countLinks(arcs(linked)))).toEqual({ e1: 3, e2: 2, e4: 1 })
  expect(refusalOf(linkEpisodes(linked, { episode: 'e2', others: ['e1'] }, c))).toBe(
    'They are linked already.',
  )
  expect(refusalOf(linkEpisodes(records, { episode: 'e4', others: ['e4'] }, c))).toMatch(/address yet/)
})

test('a link by hand to an own address counts, however it is written', () => {
  const links = [{ id: 'l', label: 'the board', url: 'http://video.example/watch/2/' }]
  const typed = exampleRecords([out(1, { links }), out(2)])
  expect(arcs(typed)).toEqual([{ from: 'e1', to: 'e2' }])
  expect(refusalOf(linkEpisodes(typed, { episode: 'e1', others: ['e1'] }, c))).toMatch(/address yet/)
  const both = link(typed, 'e2', 'e1')
  expect(both.episodes.get('e1')?.links).toHaveLength(1)
})

test('what is to be pasted into descriptions that are out is listed until it was', () => {
  const linked = link(records, 'e1', 'e2')
  const e1 = linked.episodes.get('e1') ?? out(1)
  const [first] = toPaste(e1)
  expect(first && lineOf(first)).toBe('#2 Board 2: https://video.example/watch/2')
  const wish = { episode: 'e1', links: [first?.id ?? ''], pasted: true }
  const pasted = after(linked, notePasted(linked, wish, c))
  expect(toPaste(pasted.episodes.get('e1') ?? out(1))).toEqual([])
  const back = after(pasted, notePasted(pasted, { ...wish, pasted: false }, c))
  expect(toPaste(back.episodes.get('e1') ?? out(1))).toHaveLength(1)
})

function rowsOf(r: Records, said?: ReadonlyMap<string, number>) {
  return catalogueRows(bareRows([...r.episodes.values()], r.shows), {
    ...{ made: new Map(), usual: new Map(), links: countLinks(arcs(r)), said },
  })
}

test('the sums below the list are those of its file', () => {
  const figure = fc.record({ views: fc.nat({ max: 90_000 }), age: fc.constantFrom(6, 7, 8) })
  fc.assert(
    fc.property(fc.array(figure, { minLength: 1, maxLength: 4 }), (figures) => {
      const r = exampleRecords(figures.map((f, i) => out(i + 1, { figures: [f] })))
      const rows = rowsOf(r, new Map([['e1', 3]]))
      const { columns, rows: lines } = catalogueTable(rows)
      const read = readTable(chartCsv(columns, lines))
      if (!read.ok) throw new Error(read.problem.sentence)
      const added = (column: string) =>
        read.value.rows.reduce((sum, row) => sum + Number(row.cells.get(column) ?? 0), 0)
      const sums = sumsOf(rows)
      expect([added('Views 7 d'), added('Said'), added('Links')]).toEqual([sums.views, sums.said, sums.links])
    }),
    { numRuns: 40 },
  )
})

test('the answer says what was made and what only speaks of it; filters leave what they say', () => {
  const facts = [{ id: 'f', on: '2026-11-01', what: 'a price' }]
  const linked = link(exampleRecords([out(1), out(2), out(3, { facts })]), 'e1', 'e2')
  const rows = rowsOf(linked)
  expect(answerOf('larch', rows.slice(0, 1), 7)).toBe('Larch: made once, #1; spoken of in 7 more')
  expect(answerOf('larch', rows, 0)).toBe('Larch: made 3 times, #1, #2, #3')
  expect(answerOf('larch', [], 2)).toBe('Larch: not made yet; spoken of in 2 more')
  expect(answerOf('larch', [], 0)).toBe('Larch: never made, never spoken of')
  const left = (filter: Parameters<typeof passes>[0]) =>
    rows.filter((r) => passes(filter, r, '2026-11-24')).map((r) => r.number)
  expect([left('unlinked'), left('again'), left('paste')]).toEqual([['#3'], ['#3'], ['#1', '#2']])
  const by = new Map(rows.map((r) => [r.episode.id, r]))
  expect(neighbours('e1', arcs(linked), by).map((r) => r.number)).toEqual(['#2'])
})
