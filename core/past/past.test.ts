import fc from 'fast-check'
import {
  after,
  exampleContext,
  exampleEpisode,
  exampleNow,
  exampleRecords,
  exampleShow,
  refusalOf,
  valueOf,
} from '../examples'
import { takePast, takeSubtitles, takingOf } from '../commands/past'
import { podcastFeed } from '../formats/podcast-feed'
import { readPastFeed } from '../formats/past-feed'
import { guessPastColumns, momentIn, readPastTable } from '../formats/past-table'
import { readTable } from '../formats/tables'
import type { Records } from '../records'
import { episodeNames } from '../results/match'
import type { PastRow } from './row'
import { readFolder } from './subtitle-files'

const show = exampleShow()
const c = () => exampleContext()
const readText = (text: string) => {
  const table = valueOf(readTable(text))
  return readPastTable(table, guessPastColumns(table.columns), show, exampleNow)
}

test('a table of any columns: dates, numbers, lengths, addresses, figures; wrong rows by line', () => {
  const { rows, faults } = readText(
    [
      'No;Episode title;Published;Duration;URL;Views;Topic;Tags',
      '1;Oak ribs;05.03.2020;9:51;https://video.example/1;12.4k;Hulls;oak, steam',
      '2;;06.03.2020;;;;;',
      '3;Keel;soon;;;;;',
      '4;Spar;2031-01-01;;;;;',
      '5;Tar;2020-03-07;long;;;;',
      '#6;Rope;2020-03-08T18:30:00Z;1:02:05;;;;',
    ].join('\n'),
  )
  expect(rows).toEqual([
    {
      ...{ line: 2, title: 'Oak ribs', at: Date.parse('2020-03-05T17:00:00Z'), number: 1, length: 591 },
      ...{ address: 'https://video.example/1', views: 12_400, topics: ['Hulls'], tags: ['oak', 'steam'] },
    },
    {
      ...{ line: 7, title: 'Rope', at: Date.parse('2020-03-08T18:30:00Z'), number: 6, length: 3725 },
      ...{ topics: [], tags: [] },
    },
  ])
  expect(faults.map((f) => [f.line, f.sentence])).toEqual([
    [3, 'It has no title.'],
    [4, '“soon” is no date. Write it as year-month-day, for example 2026-11-24.'],
    [5, 'It went out later than now. What comes belongs into the Schedule.'],
    [6, '“long” is no length. Write it as 9:51 or 1:02:05.'],
  ])
})

test('a clock time without a zone is the show’s own, in summer and winter', () => {
  expect(momentIn('2020-07-05 18:30', show)).toBe(Date.parse('2020-07-05T17:30:00Z'))
  expect(momentIn('5 Jan 2020', show)).toBe(Date.parse('2020-01-05T17:00:00Z'))
})

test('a feed of our own is read back; what is none is refused with the line', () => {
  const item = (n: number) => ({
    ...{
      guid: `g${n}`,
      title: `Talk ${n} <b>& tea</b>`,
      description: `About ${n}`,
      at: exampleNow - n * 86_400_000,
    },
    ...{ number: n, persons: [], link: `https://talks.example/${n}` },
    media: { url: `https://talks.example/${n}.mp3`, type: 'audio/mpeg' },
  })
  const feed = { title: 'Harbour Hours', description: '', link: 'https://talks.example/', language: 'en' }
  const xml = podcastFeed({ ...feed, self: 'https://talks.example/feed.xml', items: [item(2), item(1)] })
  const read = valueOf(readPastFeed(xml, exampleNow))
  expect([read.title, read.faults]).toEqual(['Harbour Hours', []])
  expect(read.rows.map((r) => [r.number, r.address, r.description])).toEqual([
    [1, 'https://talks.example/1', 'About 1'],
    [2, 'https://talks.example/2', 'About 2'],
  ])
  expect(read.rows[0]?.title).toContain('Talk 1')
  expect(refusalOf(readPastFeed('<rss><channel></rss>', exampleNow))).toMatch(
    /^Line 1: this is not whole XML/,
  )
  expect(refusalOf(readPastFeed('<html><body/></html>', exampleNow))).toMatch(/no channel/)
  expect(refusalOf(readPastFeed('<!DOCTYPE x [<!ENTITY a "b">]><rss/>', exampleNow))).toMatch(/DOCTYPE/)
})

const past = (i: number, fields: Partial<PastRow> = {}): PastRow => ({
  ...{ line: i + 2, title: `Part ${i}`, at: exampleNow - (i + 1) * 7 * 86_400_000, topics: [], tags: [] },
  ...fields,
})
const take = (r: Records, rows: PastRow[]) => after(r, takePast(r, { show: 'show', rows }, c()))
const told = (r: Records) =>
  [...r.episodes.values()]
    .map((e) => JSON.stringify([e.title, e.number, e.phase, e.cut, e.figures, e.addresses, e.tags]))
    .sort()

test('taken twice it changes nothing, in whatever order the rows stand', () => {
  const row = fc.record({
    i: fc.nat({ max: 12 }),
    views: fc.option(fc.nat({ max: 9999 }), { nil: undefined }),
    length: fc.option(fc.integer({ min: 60, max: 900 }), { nil: undefined }),
  })
  const rows = fc.uniqueArray(row, { selector: (r) => r.i, minLength: 1 })
  fc.assert(
    fc.property(rows, (all) => {
      const wish = all.map(({ i, views, length }) =>
        past(i, {
          number: i + 1,
          ...(views === undefined ? {} : { views }),
          ...(length === undefined ? {} : { length }),
        }),
      )
      const once = take(exampleRecords(), wish)
      expect(told(take(exampleRecords(), [...wish].reverse()))).toEqual(told(once))
      expect([...once.episodes.values()]).toHaveLength(all.length)
      expect(refusalOf(takePast(once, { show: 'show', rows: wish }, c()))).toBe('Nothing in it is new.')
    }),
    { numRuns: 40 },
  )
})

test('what is there is matched by title, address or number, and only what was not known is filled in', () => {
  const known = exampleEpisode({
    ...{ id: 'e1', code: 'AB21', title: 'Oak ribs!', number: 1, tags: ['mine'] },
    phase: { kind: 'released', at: new Date(exampleNow - 7 * 86_400_000).toISOString() },
  })
  const r = exampleRecords([known])
  const rows = [
    past(0, { title: 'oak ribs', length: 300, tags: ['theirs'], address: 'https://v.example/1', views: 5 }),
  ]
  const next = take(r, rows)
  expect(next.episodes.size).toBe(1)
  expect(next.episodes.get('e1')).toMatchObject({
    ...{ title: 'Oak ribs!', tags: ['mine'], cut: { length: 300 } },
    ...{ addresses: { outlet: 'https://v.example/1' }, figures: [{ age: 7, views: 5 }] },
  })
  const taking = takingOf(
    r,
    show,
    [past(0, { title: 'Another', number: 1, at: exampleNow - 90 * 86_400_000 })],
    c(),
  )
  expect(taking.faults).toEqual([{ line: 2, sentence: 'Its number 1 is that of “Oak ribs!”.' }])
})

test('a folder of subtitles finds its episodes by their names, and keeps what is there', () => {
  const r = take(exampleRecords(), [
    past(0, { title: 'The net loft', number: 7 }),
    past(1, { title: 'Salt', number: 8 }),
  ])
  const names = episodeNames(r.episodes.values(), r.shows)
  const text = '1\n00:00:01,000 --> 00:00:02,000\nIt curls.\n'
  const read = readFolder(
    [
      { name: '07_The_net_loft.en.srt', text },
      { name: '#8.vtt', text: 'WEBVTT\n\n00:01.000 --> 00:02.000\nSalt.\n' },
      { name: 'holiday.srt', text },
    ],
    names,
  )
  expect(read.files.map((f) => r.episodes.get(f.episode)?.title)).toEqual(['The net loft', 'Salt'])
  expect(read.faults).toEqual([
    { name: 'holiday.srt', sentence: 'Its name tells of no episode that is out.' },
  ])
  const kept = after(r, takeSubtitles(r, { files: read.files }, c()))
  expect(kept.transcripts.size).toBe(2)
  expect(refusalOf(takeSubtitles(kept, { files: read.files }, c()))).toMatch(/already/)
})
