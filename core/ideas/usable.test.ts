import { exampleEpisode, exampleRecords } from '../examples'
import { fullRecipe } from '../recipe/starters'
import { effortOf, filmDay, isResting, outOfWindow, rankOf, sayMonth, sayWeeks } from './usable'

const recipe = exampleRecords().recipes.get('recipe')
const full = fullRecipe('r', 'video', '2026-11-24T09:00:00.000Z')

test('a topical episode has its window, both ends included; an evergreen one none', () => {
  const topical = { kind: 'topical' as const, notBefore: '2026-12-01', staleAfter: '2026-12-10' }
  expect(outOfWindow(topical, '2026-11-30')).toBe('not before Tue 1 Dec')
  expect([outOfWindow(topical, '2026-12-01'), outOfWindow(topical, '2026-12-10')]).toEqual([
    undefined,
    undefined,
  ])
  expect(outOfWindow(topical, '2026-12-11')).toBe('stale after Thu 10 Dec')
  expect(outOfWindow({ kind: 'topical' }, '2026-12-11')).toBeUndefined()
  expect(outOfWindow({ kind: 'evergreen' }, '1999-01-01')).toBeUndefined()
})

test('effort is the creator’s own, else the recipe’s up to the release', () => {
  const e = exampleEpisode()
  expect(effortOf(e, recipe)).toBe(420)
  expect(effortOf(e, full)).toBe(
    full.lines.filter((l) => l.lead.kind !== 'after').reduce((s, l) => s + l.minutes, 0),
  )
  expect(effortOf({ idea: { ...e.idea, effort: 90 } }, full)).toBe(90)
  expect(effortOf(e, undefined)).toBe(0)
})

test('filming is counted back by the recipe’s film step; a week without one', () => {
  expect(filmDay('2026-12-10', full)).toBe('2026-11-29')
  expect(filmDay('2026-12-10', { ...full, lines: [] })).toBe('2026-12-03')
})

test('rest ends on its day; the order by hand falls back to the newest first', () => {
  const e = exampleEpisode()
  const resting = { ...e, idea: { ...e.idea, restUntil: '2026-12-01' } }
  expect([
    isResting(resting, '2026-11-30'),
    isResting(resting, '2026-12-01'),
    isResting(e, '2026-11-30'),
  ]).toEqual([true, false, false])
  expect(rankOf({ ...e, createdAt: '2026-11-25T00:00:00.000Z' })).toBeLessThan(rankOf(e))
  expect(rankOf({ ...e, idea: { ...e.idea, rank: 4 } })).toBe(4)
})

test('spans and months in words', () => {
  expect([
    sayWeeks('2026-11-24', '2026-11-25'),
    sayWeeks('2026-11-24', '2026-12-07'),
    sayWeeks('2026-11-24', '2026-12-09'),
    sayWeeks('2026-11-24', '2026-11-01'),
  ]).toEqual(['1 day', '13 days', '2 weeks', '0 days'])
  expect([sayMonth('2026-12', '2026-11-24'), sayMonth('2027-03', '2026-11-24')]).toEqual([
    'December',
    'March 2027',
  ])
})
