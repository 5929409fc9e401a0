import fc from 'fast-check'
import { refusalOf, valueOf } from '../examples'
import { datesOf, ruleOf, sayRhythm, timeOn, wishOf, type RhythmWish } from './rule'

const rhythm = (rule: string, start = '2026-11-05', time = '17:00') => ({ rule, start, time })

describe('a rhythm', () => {
  test('is an RFC 5545 rule', () => {
    expect(valueOf(ruleOf({ kind: 'week', every: 1, weekdays: [3] }))).toBe('FREQ=WEEKLY;INTERVAL=1;BYDAY=TH')
    expect(valueOf(ruleOf({ kind: 'week', every: 2, weekdays: [5, 1, 1] }))).toBe(
      'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,SA',
    )
    expect(valueOf(ruleOf({ kind: 'day', every: 2 }))).toBe('FREQ=DAILY;INTERVAL=2')
  })

  test('without a weekday, or with a broken interval, is refused in a sentence', () => {
    expect(refusalOf(ruleOf({ kind: 'week', every: 1, weekdays: [] }))).toMatch(/at least one weekday/)
    expect(refusalOf(ruleOf({ kind: 'day', every: 0 }))).toMatch(/1 to 52/)
    expect(refusalOf(ruleOf({ kind: 'week', every: 1.5, weekdays: [1] }))).toMatch(/whole number/)
  })

  test('is said in words', () => {
    expect(sayRhythm(rhythm('FREQ=WEEKLY;INTERVAL=1;BYDAY=TH'))).toBe('every Thursday, 17:00')
    expect(sayRhythm(rhythm('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '2026-12-01', '06:30'))).toBe(
      'every second Tuesday, 06:30',
    )
    expect(sayRhythm(rhythm('FREQ=WEEKLY;INTERVAL=1;BYDAY=MO,TH'))).toBe('every Monday and Thursday, 17:00')
    expect(sayRhythm(rhythm('FREQ=DAILY;INTERVAL=2'))).toBe('every other day, 17:00')
  })

  test('a rule that says more than a wish can is left to its own words', () => {
    expect(wishOf('FREQ=MONTHLY;BYMONTHDAY=15')).toBeUndefined()
    expect(sayRhythm(rhythm('FREQ=MONTHLY;BYMONTHDAY=15'))).toBe('monthly by a rule of its own, 17:00')
    expect(wishOf('FREQ=MONTHLY;BYDAY=1SA,3SU')).toBeUndefined()
  })

  test('every second Tuesday counts its weeks from the first', () => {
    expect(
      datesOf(rhythm('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '2026-12-01'), '2026-12-01', '2027-01-15'),
    ).toEqual(['2026-12-01', '2026-12-15', '2026-12-29', '2027-01-12'])
  })

  test('the first and third Saturday; a season ends; a pause leaves out; a change from a date on keeps what was before', () => {
    const saturdays = valueOf(ruleOf({ kind: 'month', every: 1, nths: [3, 1], weekday: 5 }))
    expect(saturdays).toBe('FREQ=MONTHLY;INTERVAL=1;BYDAY=1SA,3SA')
    expect(sayRhythm(rhythm(saturdays))).toBe('first and third Saturday of the month, 17:00')
    expect(datesOf(rhythm(saturdays), '2026-11-05', '2027-01-05')).toEqual([
      '2026-11-07',
      '2026-11-21',
      '2026-12-05',
      '2026-12-19',
      '2027-01-02',
    ])
    const season = valueOf(ruleOf({ kind: 'week', every: 1, weekdays: [3], season: 3 }))
    expect(datesOf(rhythm(season), '2026-11-01', '2027-11-01')).toEqual([
      '2026-11-05',
      '2026-11-12',
      '2026-11-19',
    ])
    expect(sayRhythm(rhythm(season))).toBe('every Thursday, 17:00, 3 times')
    const paused = {
      ...rhythm('FREQ=WEEKLY;INTERVAL=1;BYDAY=TH'),
      pauses: [{ from: '2026-11-12', to: '2026-11-20' }],
    }
    expect(datesOf(paused, '2026-11-01', '2026-12-03')).toEqual(['2026-11-05', '2026-11-26', '2026-12-03'])
    const changed = {
      ...rhythm('FREQ=WEEKLY;INTERVAL=1;BYDAY=MO', '2026-11-23', '09:00'),
      earlier: [rhythm('FREQ=WEEKLY;INTERVAL=1;BYDAY=TH')],
    }
    expect(datesOf(changed, '2026-11-01', '2026-12-01')).toEqual([
      '2026-11-05',
      '2026-11-12',
      '2026-11-19',
      '2026-11-23',
      '2026-11-30',
    ])
    expect([timeOn(changed, '2026-11-19'), timeOn(changed, '2026-11-23')]).toEqual(['17:00', '09:00'])
    expect(refusalOf(ruleOf({ kind: 'month', every: 1, nths: [], weekday: 5 }))).toMatch(/Choose which/)
    expect(refusalOf(ruleOf({ kind: 'day', every: 1, season: 0 }))).toMatch(/1 to 1,000/)
  })

  test('nothing comes before its first date', () => {
    expect(datesOf(rhythm('FREQ=DAILY;INTERVAL=2', '2026-11-30'), '2026-11-01', '2026-12-05')).toEqual([
      '2026-11-30',
      '2026-12-02',
      '2026-12-04',
    ])
  })

  test('a wish and its rule say the same', () => {
    const wish: fc.Arbitrary<RhythmWish> = fc.oneof(
      fc.record({ kind: fc.constant('day' as const), every: fc.integer({ min: 1, max: 52 }) }),
      fc.record({
        kind: fc.constant('month' as const),
        every: fc.integer({ min: 1, max: 12 }),
        nths: fc
          .uniqueArray(fc.constantFrom(1, 2, 3, 4, -1), { minLength: 1 })
          .map((n) => n.sort((a, b) => (a < 0 ? 9 : a) - (b < 0 ? 9 : b))),
        weekday: fc.integer({ min: 0, max: 6 }),
      }),
      fc.record({
        kind: fc.constant('day' as const),
        every: fc.integer({ min: 1, max: 9 }),
        season: fc.integer({ min: 1, max: 60 }),
      }),
      fc.record({
        kind: fc.constant('week' as const),
        every: fc.integer({ min: 1, max: 52 }),
        weekdays: fc
          .uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 })
          .map((d) => d.sort((a, b) => a - b)),
      }),
    )
    fc.assert(
      fc.property(wish, (w) => {
        expect(wishOf(valueOf(ruleOf(w)))).toEqual(w)
      }),
    )
  })
})
