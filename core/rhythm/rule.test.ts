import fc from 'fast-check'
import { refusalOf, valueOf } from '../examples'
import { datesOf, ruleOf, sayRhythm, wishOf, type RhythmWish } from './rule'

const rhythm = (rule: string, start = '2026-11-05', time = '17:00') => ({ rule, start, time })

describe('a rhythm', () => {
  test('is an RFC 5545 rule', () => {
    expect(valueOf(ruleOf({ each: 'week', every: 1, weekdays: [3] }))).toBe('FREQ=WEEKLY;INTERVAL=1;BYDAY=TH')
    expect(valueOf(ruleOf({ each: 'week', every: 2, weekdays: [5, 1, 1] }))).toBe('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,SA')
    expect(valueOf(ruleOf({ each: 'day', every: 2 }))).toBe('FREQ=DAILY;INTERVAL=2')
  })

  test('without a weekday, or with a broken interval, is refused in a sentence', () => {
    expect(refusalOf(ruleOf({ each: 'week', every: 1, weekdays: [] }))).toMatch(/at least one weekday/)
    expect(refusalOf(ruleOf({ each: 'day', every: 0 }))).toMatch(/1 to 52/)
    expect(refusalOf(ruleOf({ each: 'week', every: 1.5, weekdays: [1] }))).toMatch(/whole number/)
  })

  test('is said in words', () => {
    expect(sayRhythm(rhythm('FREQ=WEEKLY;INTERVAL=1;BYDAY=TH'))).toBe('every Thursday, 17:00')
    expect(sayRhythm(rhythm('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '2026-12-01', '06:30'))).toBe('every second Tuesday, 06:30')
    expect(sayRhythm(rhythm('FREQ=WEEKLY;INTERVAL=1;BYDAY=MO,TH'))).toBe('every Monday and Thursday, 17:00')
    expect(sayRhythm(rhythm('FREQ=DAILY;INTERVAL=2'))).toBe('every other day, 17:00')
  })

  test('a rule that says more than a wish can is left to its own words', () => {
    expect(wishOf('FREQ=MONTHLY;BYDAY=1SA,3SA')).toBeUndefined()
    expect(sayRhythm(rhythm('FREQ=MONTHLY;BYDAY=1SA,3SA'))).toMatch(/month/)
  })

  test('every second Tuesday counts its weeks from the first', () => {
    expect(datesOf(rhythm('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '2026-12-01'), '2026-12-01', '2027-01-15')).toEqual(['2026-12-01', '2026-12-15', '2026-12-29', '2027-01-12'])
  })

  test('nothing comes before its first date', () => {
    expect(datesOf(rhythm('FREQ=DAILY;INTERVAL=2', '2026-11-30'), '2026-11-01', '2026-12-05')).toEqual(['2026-11-30', '2026-12-02', '2026-12-04'])
  })

  test('a wish and its rule say the same', () => {
    const wish: fc.Arbitrary<RhythmWish> = fc.oneof(
      fc.record({ each: fc.constant('day' as const), every: fc.integer({ min: 1, max: 52 }) }),
      fc.record({ each: fc.constant('week' as const), every: fc.integer({ min: 1, max: 52 }), weekdays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 }).map((d) => d.sort((a, b) => a - b)) }),
    )
    fc.assert(fc.property(wish, (w) => { expect(wishOf(valueOf(ruleOf(w)))).toEqual(w) }))
  })
})
