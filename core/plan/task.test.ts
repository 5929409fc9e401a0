import { calm, changesOf, isBetter, isNarrow, type PlanCost } from './task'

const none: PlanCost = { missed: 0, narrow: 0, late: 0, off: 0, setup: 0, changes: 0, unrest: 0, ends: 0 }

describe('how good a plan is', () => {
  test.each<[string, Partial<PlanCost>, Partial<PlanCost>]>([
    ['a missed release before one made narrowly', { narrow: 3 }, { missed: 1 }],
    ['a narrow release before late days', { late: 9 }, { narrow: 1 }],
    ['late days before the day one likes', { off: 4 }, { late: 1 }],
    ['the day one likes before set-up', { setup: 90 }, { off: 1 }],
    ['set-up before calm days', { unrest: 20, ends: 900 }, { setup: 45 }],
  ])('%s', (_what, better, worse) => {
    expect(isBetter({ ...none, ...better }, { ...none, ...worse })).toBe(true)
    expect(isBetter({ ...none, ...worse }, { ...none, ...better })).toBe(false)
  })

  test('a change less is worth an hour put off by a day, and not more', () => {
    const restless = { ...none, unrest: 1 }
    expect(isBetter({ ...none, ends: calm - 1 }, restless)).toBe(true)
    expect(isBetter({ ...none, ends: calm + 1 }, restless)).toBe(false)
    expect(isBetter(restless, restless)).toBe(false)
  })

  test('changes: a day of one sort has none, each further one of a day weighs one more', () => {
    expect(changesOf([])).toEqual({ changes: 0, unrest: 0 })
    expect(changesOf([1, 1, 1])).toEqual({ changes: 0, unrest: 0 })
    expect(changesOf([2, 5, 0])).toEqual({ changes: 5, unrest: 11 })
    // Spread over two days the same work is calmer.
    expect(changesOf([4, 4]).unrest).toBeLessThan(changesOf([7, 1]).unrest)
  })

  test('narrow is what would be missed if all took two fifths longer; what is missed is not narrow', () => {
    // Ten days of work before a release on the tenth day from today.
    expect([isNarrow(9, 9), isNarrow(9, 12), isNarrow(9, 13), isNarrow(10, 9)]).toEqual([
      true,
      true,
      false,
      false,
    ])
    expect([isNarrow(0, 0), isNarrow(0, 1), isNarrow(-1, 0)]).toEqual([true, false, false])
  })
})
