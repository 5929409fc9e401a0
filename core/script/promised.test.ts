import { blankEpisode } from '../records/blank-episode'
import type { Beat, Episode, Offer, Promised, Script } from '../records'
import { readAsked } from '../partners/deal-of'
import { beatBefore, nextWording, offerUses, readDiffers, readStands } from './promised'

const at = '2026-11-01T10:00:00Z'
const pace = { camera: 60, voice: 60 }
const words = (n: number) => Array.from({ length: n }, () => 'oak').join(' ')
const beat = (id: string, n: number, promised?: Promised): Beat => ({
  id,
  delivery: 'camera',
  text: words(n),
  hold: 0,
  cues: [],
  ...(promised ? { promised } : {}),
})
const script = (id: string, sections: Beat[][]): Script => ({
  id,
  sections: sections.map((beats, i) => ({ id: `${id}/s${i}`, title: `S${i}`, beats })),
  createdAt: at,
  updatedAt: at,
})
const offer: Offer = {
  id: 'drawings',
  name: 'The drawings',
  address: '',
  wordings: ['a', 'b', 'c'].map((id) => ({ id, text: `Say ${id}` })),
  shows: ['boats'],
  createdAt: at,
  updatedAt: at,
}
const says = (wording: string): Promised => ({ kind: 'offer', offer: 'drawings', wording })
function episode(id: string, released?: string): Episode {
  const blank = blankEpisode({ id, show: 'boats', code: id.toUpperCase().padEnd(4, '0'), title: id, at })
  return released === undefined ? blank : { ...blank, phase: { kind: 'released', at: released } }
}
function world(rows: readonly { id: string; released?: string; wordings: string[] }[]) {
  return {
    episodes: new Map(rows.map((r) => [r.id, episode(r.id, r.released)])),
    scripts: new Map(
      rows.map((r) => [r.id, script(r.id, [r.wordings.map((w, i) => beat(`${r.id}/${i}`, 3, says(w)))])]),
    ),
  }
}

test('where an offer was used: the latest first, what is not out yet before all', () => {
  const uses = offerUses(
    world([
      { id: 'mid', released: '2026-05-01T10:00:00Z', wordings: ['a'] },
      { id: 'next', wordings: ['b'] },
      { id: 'late', released: '2026-09-01T10:00:00Z', wordings: ['a', 'a'] },
    ]),
    'drawings',
  )
  expect(uses.map((u) => `${u.episode.id} ${u.wording}`)).toEqual(['next b', 'late a', 'mid a'])
})

test('the wording that comes next was never used, else is the one used longest ago; its own episode does not count', () => {
  const told = world([
    { id: 'one', released: '2026-05-01T10:00:00Z', wordings: ['b'] },
    { id: 'two', released: '2026-06-01T10:00:00Z', wordings: ['a'] },
  ])
  expect(nextWording(offer, offerUses(told, 'drawings'))?.id).toBe('c')
  const all = world([
    { id: 'one', released: '2026-05-01T10:00:00Z', wordings: ['b'] },
    { id: 'two', released: '2026-06-01T10:00:00Z', wordings: ['a'] },
    { id: 'three', wordings: ['c'] },
  ])
  expect(nextWording(offer, offerUses(all, 'drawings'))?.id).toBe('b')
  expect(nextWording(offer, offerUses(all, 'drawings'), 'three')?.id).toBe('c')
  expect(nextWording({ wordings: [] }, [])).toBeUndefined()
})

test('a place that was asked for is behind a section: the first, the one that ends nearest the middle, all but the last', () => {
  // At 60 words a minute a word is a second, and each beat has 0.8 s at its end: sections end at 5.8, 26.6, 37.4, 58.2.
  const s = script('s', [[beat('a', 5)], [beat('b', 20)], [beat('c', 10)], [beat('d', 20)]])
  expect([
    beatBefore(s, 'opening', pace),
    beatBefore(s, 'middle', pace),
    beatBefore(s, 'close', pace),
  ]).toEqual(['a', 'b', 'c'])
  expect(beatBefore(script('s', []), 'middle', pace)).toBeUndefined()
  expect(beatBefore(script('s', [[beat('a', 5)]]), 'close', pace)).toBe('a')
})

test('a read is held against its length and its place', () => {
  const s = script('s', [[beat('a', 10)], [beat('r', 20, { kind: 'read' })], [beat('d', 10)]])
  const stands = readStands(s, pace)
  if (!stands) throw new Error('It is there.')
  expect(stands.beat).toBe('r')
  expect(stands.seconds).toBeCloseTo(20.8)
  expect(stands.at).toBeCloseTo(10.8 / 42.4)
  expect(readDiffers({ words: '' }, stands)).toBeUndefined()
  expect(readDiffers({ words: '', seconds: 20, place: 'opening' }, stands)).toBeUndefined()
  expect(readDiffers({ words: '', seconds: 45 }, stands)).toBe('24 s shorter than asked')
  expect(readDiffers({ words: '', seconds: 10 }, stands)).toBe('11 s longer than asked')
  expect(readDiffers({ words: '', place: 'close' }, stands)).toBe('before the last third')
  expect(readStands(script('s', [[beat('a', 10)]]), pace)).toBeUndefined()
})

test('what was asked stands with the sponsor; without one nothing was asked', () => {
  const blank = episode('one')
  expect(readAsked({ ...blank, read: { words: 'Say it' } }, undefined)).toBeUndefined()
  expect(readAsked({ ...blank, sponsor: 'Kelpline Rope' }, undefined)).toEqual({
    sponsor: 'Kelpline Rope',
    words: '',
  })
  expect(
    readAsked({ ...blank, sponsor: 'Kelpline Rope', read: { words: 'Say it', seconds: 30 } }, undefined),
  ).toEqual({
    sponsor: 'Kelpline Rope',
    words: 'Say it',
    seconds: 30,
  })
})
