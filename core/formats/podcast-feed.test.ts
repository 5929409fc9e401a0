import { execFileSync } from 'node:child_process'
import fc from 'fast-check'
import Parser from 'rss-parser'
import { exampleEpisode, exampleShow } from '../examples'
import { ownFeed } from './own-feed'
import { feedMoment, podcastFeed, type FeedItem } from './podcast-feed'

const item = (fields: Partial<FeedItem> = {}): FeedItem => ({
  guid: 'AB12',
  title: 'The ferry pilot',
  description: 'Two banks.',
  at: Date.parse('2026-12-01T06:30:00.000Z'),
  media: { url: 'https://feed.example/19.mp3', type: 'audio/mpeg' },
  persons: ['Ines Varga'],
  ...fields,
})
const feed = (items: FeedItem[]) =>
  podcastFeed({
    title: 'Harbour Hours',
    description: 'Talks with people who work on the water.',
    link: 'https://harbour.example',
    language: 'en',
    self: 'https://harbour.example/feed.xml',
    items,
  })

test('moments are written as RFC 822 has them', () => {
  expect(feedMoment(Date.parse('2026-12-01T06:30:00.000Z'))).toBe('Tue, 01 Dec 2026 06:30:00 GMT')
})

test('the latest stands first; every element has what the namespace asks for', async () => {
  const xml = feed([
    item(),
    item({
      guid: 'AB13',
      at: Date.parse('2026-12-15T06:30:00.000Z'),
      season: 2,
      number: 20,
      chapters: 'https://harbour.example/20.json',
      transcript: { url: 'https://harbour.example/20.vtt', type: 'text/vtt' },
    }),
  ])
  const read = await new Parser().parseString(xml)
  expect(read.items.map((i) => i.guid)).toEqual(['AB13', 'AB12'])
  // As the published specification has them: type and address of chapters and transcript, whole numbers, a named role.
  expect(xml).toMatch(/<podcast:chapters url="https:\S+" type="application\/json\+chapters"\/>/)
  expect(xml).toMatch(/<podcast:transcript url="https:\S+" type="text\/vtt"\/>/)
  expect(xml).toMatch(/<podcast:season>\d+<\/podcast:season>/)
  expect(xml).toMatch(/<podcast:episode>\d+<\/podcast:episode>/)
  expect(xml).toMatch(/<podcast:person role="guest">Ines Varga<\/podcast:person>/)
})

test('any text comes back as it was, and xmllint reads every feed', async () => {
  const text = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 })
  const all = fc.sample(fc.tuple(text, text), 60)
  const xml = feed(all.map(([title, description], i) => item({ guid: `g${i}`, title, description, at: i })))
  execFileSync('xmllint', ['--noout', '-'], { input: xml })
  const read = await new Parser().parseString(xml)
  const plain = (s: string) => s.replace(/\s+/g, ' ').trim()
  expect(read.items.map((i) => plain(i.title ?? ''))).toEqual(all.map(([title]) => plain(title)).reverse())
})

test('signs that XML has no place for are left out, broken halves of letters too', () => {
  const xml = feed([item({ title: 'A\u0000B\u001fC\ud800D', description: '<![CDATA[ ]]> & <x>' })])
  execFileSync('xmllint', ['--noout', '-'], { input: xml })
  expect(xml).toContain('<title>ABCD</title>')
})

describe('a show’s own feed', () => {
  const show = exampleShow({ kind: 'audio', title: 'Harbour Hours' })
  const out = (id: string, day: number, address?: string) =>
    exampleEpisode({
      id,
      title: id,
      number: day,
      phase: { kind: 'released', at: `2026-11-0${day}T06:30:00.000Z` },
      ...(address === undefined ? {} : { addresses: { feed: address } }),
    })
  test('holds what is out and has an address; the rest is named', async () => {
    const made = ownFeed(
      show,
      'feed',
      [
        out('one', 1, 'https://media.example/1.m4a'),
        out('two', 2),
        out('three', 3, 'https://media.example/3'),
        exampleEpisode({ id: 'work' }),
      ],
      (e) => `About ${e.title}`,
    )
    expect(made.count).toBe(2)
    expect(made.left.map((e) => e.id)).toEqual(['two'])
    const read = await new Parser().parseString(made.xml)
    expect(read.items.map((i) => [i.title, i.enclosure?.url, i.enclosure?.type])).toEqual([
      ['three', 'https://media.example/3', 'audio/mpeg'],
      ['one', 'https://media.example/1.m4a', 'audio/mp4'],
    ])
    execFileSync('xmllint', ['--noout', '-'], { input: made.xml })
  })
  test('with nothing out it is a feed all the same', async () => {
    const made = ownFeed(show, 'feed', [], () => '')
    expect((await new Parser().parseString(made.xml)).title).toBe('Harbour Hours')
    expect(made.count).toBe(0)
  })
})
