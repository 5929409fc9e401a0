import { zipSync } from 'fflate'
import { exampleAt, exampleEpisode, exampleRecords, exampleStep, refusalOf, valueOf } from '../examples'
import { rowsOf } from '../records'
import { fullRecipe } from '../recipe/starters'
import { readBackup, writeBackup, type WholeStore } from './backup'
import { faultsOf, nestedBeyond, without } from './whole-check'
import { bounds, zipWithinBounds } from './zip-bounds'

const records = exampleRecords([exampleEpisode()])
const tables = rowsOf(records)
const backup = (more: Partial<WholeStore['tables']>) =>
  readBackup(writeBackup({ tables: { ...tables, ...more }, journal: [], files: [] }, exampleAt))
const slot = { kind: 'slot' as const, day: '2026-12-10' }
const work = { kind: 'work' as const, since: exampleAt }

describe('what commands guarantee is asked of a back-up too', () => {
  test.each<[string, Partial<WholeStore['tables']>, RegExp]>([
    [
      'an id twice',
      { episodes: [exampleEpisode(), exampleEpisode({ code: 'AB99' })] },
      /the same id stands twice/,
    ],
    [
      'a code twice',
      { episodes: [exampleEpisode(), exampleEpisode({ id: 'b' })].map((e) => ({ ...e, code: 'AB22' })) },
      /code AB22 stands twice/,
    ],
    [
      'a number twice',
      { episodes: ['a', 'b'].map((id, i) => exampleEpisode({ id, code: `AB2${i + 2}`, number: 4 })) },
      /number 4 stands twice/,
    ],
    [
      'a slot taken twice',
      {
        episodes: ['a', 'b'].map((id, i) =>
          exampleEpisode({ id, code: `AB2${i + 2}`, phase: work, place: slot }),
        ),
      },
      /another episode stands on 2026-12-10/,
    ],
    [
      'needs in a circle',
      { steps: [exampleStep({ id: 's', needs: ['t'] }), exampleStep({ id: 't', needs: ['s'] })] },
      /wait for each other in a circle/,
    ],
    [
      'a recipe in a circle',
      {
        recipes: [
          {
            ...fullRecipe('recipe', 'video', exampleAt),
            lines: fullRecipe('recipe', 'video', exampleAt).lines.map((l) =>
              l.id === 'brief' ? { ...l, needs: ['check'] } : l,
            ),
          },
        ],
      },
      /circle/,
    ],
  ])('%s is refused, named', (_what, more, says) => {
    expect(refusalOf(backup(more))).toMatch(says)
  })

  test('a record at fault takes along what hangs on it, and the rest stays', () => {
    const rows = { ...tables, recipes: [], steps: [exampleStep({ id: 's' })] }
    const faults = faultsOf(rows)
    expect(faults.map((f) => f.table).sort()).toEqual(['episodes', 'shows', 'steps'])
    expect(without(rows, faults).settings).toHaveLength(1)
    expect(faultsOf(without(rows, faults))).toEqual([])
  })
})

describe('a zip is looked at before it is unpacked', () => {
  test('what says that it is too large, or lies over something else, is refused', () => {
    const zip = zipSync({ 'records/episodes.json': new Uint8Array(200) }, { level: 1 })
    // The directory is made to say that the entry is larger than it is.
    const head = new DataView(zip.buffer)
    head.setUint32(head.getUint32(zip.length - 22 + 16, true) + 24, bounds.records + 1, true)
    expect(refusalOf(zipWithinBounds(zip))).toMatch(
      /records\/episodes.json in the zip says that it takes 256 MB/,
    )
    const two = zipSync({ 'a.json': new Uint8Array(200), 'b.json': new Uint8Array(200) }, { level: 0 })
    // The directory's second entry is made to begin where the first does.
    const view = new DataView(two.buffer)
    const directory = view.getUint32(two.length - 22 + 16, true)
    view.setUint32(directory + 46 + 6 + 42, 0, true)
    expect(refusalOf(zipWithinBounds(two))).toMatch(/lies over what follows it/)
    expect(refusalOf(zipWithinBounds(new Uint8Array(10)))).toMatch(/not a zip/)
    expect(valueOf(zipWithinBounds(zipSync({ 'a.json': new Uint8Array(3) })))).toBe(true)
  })

  test('records nested thousands deep are refused, not followed', () => {
    let deep: unknown = []
    for (let i = 0; i < 5000; i++) deep = [deep]
    expect(nestedBeyond(deep, 40)).toBe(true)
    const text = `${'['.repeat(90_000)}${']'.repeat(90_000)}`
    const whole = writeBackup({ tables, journal: [], files: [] }, exampleAt)
    expect(readBackup(whole).ok).toBe(true)
    const files = { 'lamp-reel.json': new TextEncoder().encode(text) }
    expect(refusalOf(readBackup(zipSync(files)))).toMatch(/nested too deep|not readable/)
  })
})
