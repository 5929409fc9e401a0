import type { PictureWords } from '../records'
import { frameOf } from './frame'
import type { Measured } from './measure'
import { findingsOf, measureName, sayBytes, usualProof, type Judged } from './proof'
import { lettersAt, saidTwice, underStamp } from './words'

const wide = frameOf({ kind: 'video' })
const line = (text: string, x: number, y: number, w: number, h: number): PictureWords => ({
  text,
  x,
  y,
  w,
  h,
  known: 'laid',
})
const measured: Measured = { contrasts: [8, 6], edges: 0.7, signature: { bits: [], colours: [] } }
const good: Judged = {
  frame: wide,
  measured,
  words: [line('BENT', 0.05, 0.1, 0.4, 0.16), line('COLD', 0.05, 0.3, 0.4, 0.16)],
  title: 'Steaming oak ribs without a steam box',
  like: { number: '#38', share: 0.31 },
  size: 298_000,
  most: 2_000_000,
}
const failing = (of: Judged) =>
  findingsOf(of, usualProof).flatMap((f) => (f.state === 'fails' ? [f.measure] : []))

test('one that passes all seven', () => {
  expect(failing(good)).toEqual([])
  expect(findingsOf(good, usualProof).map((f) => f.value)).toEqual([
    '15',
    '6.0:1',
    'clear',
    '2 of 2',
    '70%',
    '31% #38',
    '298 kB',
  ])
})

test('each measure fails on its own and says how to mend it', () => {
  const cases: [Partial<Judged>, string, RegExp][] = [
    [{ words: [line('BENT', 0, 0, 0.4, 0.06)] }, 'letters', /59 % larger/],
    [{ measured: { ...measured, contrasts: [8, 2.1] } }, 'contrast', /“COLD”/],
    [{ words: [line('BENT', 0.8, 0.85, 0.15, 0.12)] }, 'stamp', /lower right corner/],
    [{ words: [line('OAK RIBS', 0, 0, 0.4, 0.2)] }, 'fresh', /“oak”, “ribs”/],
    [{ measured: { ...measured, edges: 0.2 } }, 'edges', /crop closer/],
    [{ like: { number: '#40', share: 0.84 } }, 'like', /#40/],
    [{ size: 2_300_000 }, 'file', /2.0 MB: make it lighter/],
  ]
  for (const [change, measure, mend] of cases) {
    const of = { ...good, ...change }
    expect(failing(of)).toEqual([measure])
    expect(findingsOf(of, usualProof).find((f) => f.measure === measure)?.fault?.mend).toMatch(mend)
  }
})

test('words that are not known are neither right nor wrong; none at all are right', () => {
  const unknown = findingsOf({ ...good, words: undefined }, usualProof)
  expect(unknown.filter((f) => f.state === 'unknown').map((f) => f.measure)).toEqual([
    'letters',
    'contrast',
    'stamp',
    'fresh',
  ])
  expect(findingsOf({ ...good, words: [] }, usualProof).every((f) => f.state === 'passes')).toBe(true)
})

test('a show may be stricter; a cover has no stamp', () => {
  const strict = findingsOf(good, { ...usualProof, contrast: 7, like: 0.3 })
  expect(strict.filter((f) => f.state === 'fails').map((f) => f.measure)).toEqual(['contrast', 'like'])
  const cover = findingsOf({ ...good, frame: frameOf({ kind: 'audio' }) }, usualProof)
  expect(cover.map((f) => f.measure)).not.toContain('stamp')
})

test('letters at a list’s size, by hand: 0.1 of 720 is 72 px, of which a list shows 72 × 168 / 1280', () => {
  expect(lettersAt([line('A', 0, 0, 1, 0.1), line('B', 0, 0, 1, 0.2)], wide)).toBeCloseTo(9.45, 10)
  expect(lettersAt([], wide)).toBeUndefined()
})

test('the stamp touches what overlaps it, not what ends at its edge', () => {
  const edge = 1116 / 1280
  expect(underStamp([line('A', edge - 0.1, 0.92, 0.1, 0.05)], wide)).toEqual([])
  expect(underStamp([line('A', edge - 0.1, 0.92, 0.11, 0.05)], wide)).toHaveLength(1)
})

test('words are the same by their stems; words that say nothing do not count', () => {
  const said = saidTwice([line('The rib of STEAM', 0, 0, 1, 1), line('COLD rib', 0, 0, 1, 1)], good.title)
  expect(said).toEqual({ all: 3, repeated: ['rib', 'steam'] })
})

test('sizes and names in words', () => {
  expect([412_000, 2_340_000, 999_800, 12, 12_000_000].map(sayBytes)).toEqual([
    '412 kB',
    '2.3 MB',
    '1.0 MB',
    '1 kB',
    '12 MB',
  ])
  expect(measureName('file', wide, 2_000_000)).toBe('File, of 2.0 MB')
})
