import {
  exampleContext,
  exampleEpisode,
  exampleRecords,
  after,
  exampleAt,
  refusalOf,
  valueOf,
} from '../examples'
import { bareIdea, freshWeights } from '../records'
import { reorderIdea } from '../commands/ideas/reorder-idea'
import { rankOf } from '../ideas/usable'
import { whyNot } from '../ideas/rank'
import { descriptionOf, unknownWords } from '../release/description'
import { readRhythm } from '../rhythm/words'
import { folderName, safeName } from './folder'
import { readTable } from './tables'

describe('names that every object has', () => {
  test('are words like others in patterns, rhythms and guests', () => {
    const episode = exampleEpisode({ guests: ['__proto__', 'toString'], topics: ['constructor'] })
    expect(descriptionOf({ pattern: '{constructor} {title}', call: '' }, episode, 'T', [])).toBe(
      '{constructor} T',
    )
    expect(unknownWords('{toString}')).toEqual(['toString'])
    const names = { number: '#1', title: 'T', code: 'C', date: '', show: 'S' }
    expect(folderName('{constructor} {title}', names)).toBe('{constructor} T')
    expect(refusalOf(readRhythm('constructor thursday', '2026-11-24'))).toMatch(/was not understood/)
    const show = exampleRecords().shows.get('show')
    if (!show) throw new Error('no show')
    expect(
      whyNot(episode, {
        show,
        recipe: undefined,
        day: '2026-12-10',
        today: '2026-11-24',
        multiples: new Map(),
        keywords: new Map(),
        settings: { weights: freshWeights, away: {} },
        free: 1000,
      }),
    ).toBeUndefined()
  })
})

describe('file names', () => {
  test.each([
    ['CON', 'CON_'],
    ['nul.txt', 'nul_.txt'],
    ['Console', 'Console'],
    ['a\u0007b', 'a b'],
    ['\ud83d', 'Episode'],
    ['...', 'Episode'],
  ])('%j becomes %j', (name, safe) => {
    expect(safeName(name)).toBe(safe)
  })
  test('are never cut inside a character', () => {
    expect([...safeName('😀'.repeat(200))].every((c) => c === '😀')).toBe(true)
  })
})

describe('tables', () => {
  test('a line that says the delimiter, and empty first lines, are passed over; lines are counted all the same', () => {
    const table = valueOf(readTable('\ufeffsep=;\r\n\r\nTitle;Note\r\nRibs;a, b\r\n'))
    expect(table.columns).toEqual(['Title', 'Note'])
    expect(table.rows.map((r) => [r.line, r.cells.get('Note')])).toEqual([[4, 'a, b']])
  })
  test('ten megabytes in one line, blank or not, are refused in a sentence', () => {
    for (const text of ['a,'.repeat(5_000_000), ' '.repeat(10_000_000), '"'.repeat(10_000_001)])
      expect(refusalOf(readTable(text))).toMatch(/over a million letters/)
  })
  test('a column named like what every object has is a column', () => {
    expect(valueOf(readTable('Title,__proto__\nRibs,x')).rows[0]?.cells.get('__proto__')).toBe('x')
  })
})

test('the order by hand stays right however often the same place is chosen', () => {
  const ideas = ['a', 'b', 'c', 'd'].map((id, i) =>
    exampleEpisode({ id, code: `AB2${i + 2}`, title: id, idea: bareIdea(), createdAt: exampleAt }),
  )
  let r = exampleRecords(ideas)
  const order = () => [...r.episodes.values()].sort((a, b) => rankOf(a) - rankOf(b)).map((e) => e.id)
  const context = exampleContext()
  r = after(r, reorderIdea(r, { episode: 'a', before: undefined, after: 'b' }, context))
  for (let i = 0; i < 80; i++) {
    const row = order()
    const last = row.at(-1) ?? ''
    const wanted = [row[0], last, ...row.slice(1, -1)]
    r = after(r, reorderIdea(r, { episode: last, before: row[0], after: row[1] }, context))
    expect(order()).toEqual(wanted)
  }
})
