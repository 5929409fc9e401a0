import { strToU8, unzipSync, zipSync } from 'fflate'
import {
  exampleAt,
  exampleEpisode,
  exampleRecords,
  exampleScript,
  exampleStep,
  refusalOf,
  valueOf,
} from '../examples'
import { rowsOf } from '../records'
import { schemaVersion } from '../records/version'
import { readBackup, writeBackup, type WholeStore } from './backup'

const records = exampleRecords()
const picture = { id: 'p', name: 'a.png', type: 'image/png' as const, width: 2, height: 2, size: 4 }
const whole: WholeStore = {
  tables: {
    ...rowsOf(records),
    episodes: [exampleEpisode({ pictures: [picture] })],
    steps: [exampleStep({ id: 's' })],
    scripts: [exampleScript({ Hook: ['“Words” & more.'] })],
  },
  journal: [
    {
      seq: 1,
      at: exampleAt,
      sentence: 'Kept the idea',
      about: ['episode'],
      state: 'done',
      tab: 't',
      changes: [{ table: 'episodes', id: 'episode', after: exampleEpisode() }],
    },
  ],
  files: [{ id: 'p', type: 'image/png', bytes: new Uint8Array([137, 80, 78, 71]) }],
}
const zip = writeBackup(whole, exampleAt)

/** The back-up with one entry changed; its sum left as it was, or made right again by `honest`. */
function tampered(change: (entries: Record<string, Uint8Array>) => void): Uint8Array {
  const entries = { ...unzipSync(zip) }
  change(entries)
  return zipSync(entries)
}
const manifest = (entries: Record<string, Uint8Array>): unknown =>
  JSON.parse(new TextDecoder().decode(entries['lamp-reel.json'] ?? new Uint8Array()))

describe('a back-up', () => {
  test('is read back the same, down to files and history', () => {
    expect(valueOf(readBackup(zip))).toEqual(whole)
  })

  test('keeps files as they are, in a zip that anything can open', () => {
    expect(Object.keys(unzipSync(zip))).toEqual(
      expect.arrayContaining([
        'lamp-reel.json',
        'records/episodes.json',
        'records/journal.json',
        'files/1.png',
      ]),
    )
  })

  test.each([
    ['a file that is no zip', () => strToU8('hello'), /not a zip/],
    ['an empty file', () => new Uint8Array(), /not a zip/],
    ['half a file', () => zip.slice(0, zip.length / 2), /not a zip, or it is damaged/],
    ['another program’s zip', () => zipSync({ 'a.txt': strToU8('x') }), /no lamp-reel.json/],
    [
      'another manifest',
      () =>
        tampered((e) => {
          e['lamp-reel.json'] = strToU8('{"format":"other"}')
        }),
      /says something else/,
    ],
    [
      'a manifest that is not JSON',
      () =>
        tampered((e) => {
          e['lamp-reel.json'] = strToU8('{')
        }),
      /not readable/,
    ],
    [
      'a damaged entry',
      () =>
        tampered((e) => {
          e['files/1.png'] = new Uint8Array([1, 2, 3, 4])
        }),
      /files\/1.png in the back-up is damaged/,
    ],
    [
      'a missing entry',
      () =>
        tampered((e) => {
          delete e['records/steps.json']
        }),
      /records\/steps.json in the back-up is missing/,
    ],
  ])('%s is refused with a plain reason', (_what, make, says) => {
    expect(refusalOf(readBackup(make()))).toMatch(says)
  })

  test('of a newer program is refused', () => {
    const newer = tampered((e) => {
      const head = manifest(e)
      e['lamp-reel.json'] = strToU8(
        JSON.stringify({ ...(typeof head === 'object' ? head : {}), version: schemaVersion + 1 }),
      )
    })
    expect(refusalOf(readBackup(newer))).toMatch(/newer Lamp Reel/)
  })

  test('with a record that breaks its schema says which', () => {
    const broken = writeBackup(
      { ...whole, tables: { ...whole.tables, episodes: [exampleEpisode({ title: '' })] } },
      exampleAt,
    )
    const read = readBackup(broken)
    expect(refusalOf(read)).toMatch(/episodes, record 1: An idea needs at least a word/)
    expect(read).toMatchObject({ problem: { path: 'records/episodes.json.1.title' } })
  })

  test('with a reference into nothing is refused', () => {
    const lost = (tables: Partial<WholeStore['tables']>, files = whole.files) =>
      refusalOf(
        readBackup(writeBackup({ ...whole, tables: { ...whole.tables, ...tables }, files }, exampleAt)),
      )
    expect(lost({ shows: [] })).toMatch(/episode “Steaming oak ribs” cannot be taken: its show is not there/)
    expect(lost({ recipes: [] })).toMatch(/show “Tern & Tiller” cannot be taken: its recipe is not there/)
    expect(lost({ outlets: [] })).toMatch(/show “Tern & Tiller” cannot be taken: its outlet is not there/)
    expect(lost({ steps: [exampleStep({ id: 's', episode: 'gone' })] })).toMatch(
      /step “s” cannot be taken: its episode is not there/,
    )
    // A file whose bytes the store itself has lost is no reason to refuse all the rest.
    expect(readBackup(writeBackup({ ...whole, files: [] }, exampleAt)).ok).toBe(true)
  })
})
