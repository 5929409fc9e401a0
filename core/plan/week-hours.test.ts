import fc from 'fast-check'
import { spreadHours } from './week-hours'

test('twelve hours stay twelve, in quarters, on the days that have hours', () => {
  const days = spreadHours([90, 90, 90, 90, 90, 150, 0], 12 * 60)
  expect(days.reduce((a, b) => a + b, 0)).toBe(720)
  expect(days[6]).toBe(0)
  expect(spreadHours([0, 0, 0, 0, 0, 0, 0], 360)).toEqual([60, 60, 60, 60, 60, 60, 0])
})

test('any sum of quarters is kept', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 600 }), { minLength: 7, maxLength: 7 }),
      fc.integer({ min: 1, max: 400 }),
      (days, quarters) => {
        const spread = spreadHours(days, quarters * 15)
        expect(spread.reduce((a, b) => a + b, 0)).toBe(quarters * 15)
        expect(spread.every((m) => m % 15 === 0)).toBe(true)
      },
    ),
  )
})
