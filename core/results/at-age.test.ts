import { exampleEpisode } from '../examples'
import type { Figure } from '../records'
import { countedAt, lastViews, wholeFigures } from './at-age'
import { oddities } from './odd'
import { againstUsual } from './usual'

const of = (...figures: Figure[]) => exampleEpisode({ figures })

test.each([
  ['as counted', 7, 710],
  // exp((ln 341 + ln 711) / 2) − 1 with half of the way between 1 and 7 days.
  ['between two, in the logarithm', 4, Math.sqrt(341 * 711) - 1],
  ['within a fifth below the first', 0.85, 340],
  ['beyond a fifth below the first', 0.7, undefined],
  ['within a fifth beyond the last', 33, 1000],
  ['a fifth beyond the last and more', 36, undefined],
])('views at an age: %s', (_, age, views) => {
  const e = of({ age: 1, views: 340 }, { age: 7, views: 710 }, { age: 28, views: 1000 })
  const found = countedAt(e, age)
  if (views === undefined) expect(found).toBeUndefined()
  else expect(found).toBeCloseTo(views, 6)
})

test('shares are interpolated as they are; what was not counted says nothing', () => {
  const e = of({ age: 1, pressed: 0.02 }, { age: 3, views: 9 }, { age: 5, pressed: 0.06 })
  expect(countedAt(e, 3, 'pressed')).toBeCloseTo(0.04)
  expect(countedAt(e, 1)).toBeUndefined()
  expect(lastViews(e)).toEqual({ age: 3, views: 9 })
})

test('figures of everywhere speak for an episode; without them those of the outlet with most', () => {
  const both = of({ age: 7, views: 9 }, { age: 7, outlet: 'a', views: 5 }, { age: 9, outlet: 'a', views: 6 })
  expect(wholeFigures(both).map((f) => f.views)).toEqual([9])
  const outlets = of(
    { age: 9, outlet: 'b', views: 1 },
    { age: 7, outlet: 'a', views: 5 },
    { age: 2, outlet: 'a' },
  )
  expect(wholeFigures(outlets).map((f) => [f.age, f.views])).toEqual([
    [2, undefined],
    [7, 5],
  ])
})

test('the usual is the middle of the ten of its kind before it, at the same age', () => {
  const all = [100, 200, 300, 900].map((views, i) =>
    exampleEpisode({ id: `e${i}`, figures: [{ age: 7, views }] }),
  )
  const talk = exampleEpisode({ id: 'talk', form: 'talk', figures: [{ age: 7, views: 5 }] })
  const found = againstUsual([...all.slice(0, 3), talk, ...all.slice(3)])
  expect([...found.keys()]).toEqual(['e3'])
  expect(found.get('e3')).toEqual({ age: 7, views: 900, usual: 200, cases: 3, times: 4.5 })
  expect(againstUsual(all, { at: 28 }).size).toBe(0)
  // Of the one that is asked about alone, against the same ones before it.
  const [id] = [...againstUsual(all).keys()].slice(-1)
  expect([...againstUsual(all, { of: (e) => e.id === id })]).toEqual([...againstUsual(all)].slice(-1))
})

test('what is odd is asked about: fewer than before, more likes than views, older than it is', () => {
  const e = of({ age: 7, views: 4000 }, { age: 90, views: 9000 })
  expect(oddities({ age: 28, views: 6000, likes: 80 }, e, 40)).toEqual([])
  expect(oddities({ age: 28, views: 900, likes: 1000 }, e, 20)).toEqual([
    'It is out for 20 d, and this says 28 d.',
    'It had 4,000 after 7 d already, and now 900.',
    'More likes than views.',
  ])
  expect(oddities({ age: 28, views: 200_000 }, e, 40)).toEqual([
    'After 90 d it had 9,000, fewer than these 200,000.',
    '200,000 is more than twenty times what was kept there before.',
  ])
})
