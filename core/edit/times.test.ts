import fc from 'fast-check'
import { exampleScript } from '../examples'
import { beatTimes, placedIn, sectionTimes, startsFrom } from './times'

const pace = { camera: 60, voice: 60 }
/** At 60 words a minute; every beat has 0.8 s at its end: sections of 10, 20 and 10 s. */
const words = (n: number) => Array.from({ length: n }, () => 'oak').join(' ')
const script = exampleScript({
  Hook: [`${words(9)} ${words(0)}`.trim()],
  Body: [words(9), words(9)],
  Close: [words(9)],
})
const ids = script.sections.map((s) => s.id)
const [hook = '', body = '', close = ''] = ids

test('without anything said the cut is as long as the script; with its length it is stretched', () => {
  const plain = sectionTimes(script, pace, { starts: {} })
  expect(plain.map((s) => [s.title, Number(s.from.toFixed(1)), Number(s.to.toFixed(1))])).toEqual([
    ['Hook', 0, 9.8],
    ['Body', 9.8, 29.4],
    ['Close', 29.4, 39.2],
  ])
  const twice = sectionTimes(script, pace, { length: 78.4, starts: {} })
  expect(twice.map((s) => Number(s.to.toFixed(1)))).toEqual([19.6, 58.8, 78.4])
})

test('a start that is known holds, and what lies between is even', () => {
  const times = sectionTimes(script, pace, { length: 60, starts: { [hook]: 0, [close]: 40 } })
  expect(times.map((s) => [Number(s.from.toFixed(1)), Number(s.to.toFixed(1)), s.isTimed])).toEqual([
    [0, 13.3, true],
    [13.3, 40, false],
    [40, 60, true],
  ])
  const beats = beatTimes(script, pace, { length: 60, starts: { [hook]: 0, [close]: 40 } })
  expect(beats.map((b) => Number(b.from.toFixed(1)))).toEqual([0, 13.3, 26.7, 40])
  expect(beats.at(-1)?.to).toBeCloseTo(60)
})

test('a start that cannot be is not gone by', () => {
  const times = sectionTimes(script, pace, { length: 60, starts: { [body]: 50, [close]: 20 } })
  expect(times.at(-1)?.to).toBeCloseTo(60)
  const late = placedIn(script, pace, { length: 60, starts: { [close]: 90 } })
  expect(late(39.2)).toBeCloseTo(60)
})

test('moments of the script rise in the cut, from its begin to its end, whatever is known', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 300 }),
      fc.record({ [hook]: fc.nat(300), [body]: fc.nat(300), [close]: fc.nat(300) }, { requiredKeys: [] }),
      (length, given) => {
        const starts = Object.fromEntries(
          Object.entries(given).flatMap(([id, at]) => (at === undefined ? [] : [[id, at]])),
        )
        const place = placedIn(script, pace, { length, starts })
        let last = -1
        for (let t = 0; t <= 39; t++) {
          expect(place(t)).toBeGreaterThan(last)
          last = place(t)
        }
        expect(place(39.2)).toBeLessThanOrEqual(length + 1e-6)
      },
    ),
  )
})

test('an editor’s markers that are called as sections are their starts, as far as they rise', () => {
  const markers = [
    { at: 0, text: 'hook' },
    { at: 41, text: 'Close ' },
    { at: 12, text: 'BODY' },
    { at: 20, text: 'hold it' },
  ]
  expect(startsFrom(markers, script.sections)).toEqual({ [hook]: 0, [body]: 12, [close]: 41 })
  expect(startsFrom([{ at: 50, text: 'Hook' }, ...markers.slice(1, 3)], script.sections)).toEqual({})
  expect(startsFrom(markers.slice(0, 1), script.sections)).toEqual({})
})
