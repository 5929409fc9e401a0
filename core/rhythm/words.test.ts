import fc from 'fast-check'
import { refusalOf, valueOf } from '../examples'
import { ruleOf, sayRhythm, wishOf, type RhythmWish } from './rule'
import { readRhythm } from './words'

const today = '2026-11-24'
const week = (every: number, ...weekdays: number[]): RhythmWish => ({ kind: 'week', every, weekdays })

describe('a rhythm in words', () => {
  test.each<[string, RhythmWish, string | undefined]>([
    ['every Thursday 17:00', week(1, 3), '17:00'],
    ['Thursdays at 5 pm', week(1, 3), '17:00'],
    ['every second Tuesday', week(2, 1), undefined],
    ['every other Tue, 06.30', week(2, 1), '06:30'],
    ['every 3 weeks on Sunday', week(3, 6), undefined],
    ['fortnightly on Friday', week(2, 4), undefined],
    ['twice a week on Tuesday and Friday, noon', week(1, 1, 4), '12:00'],
    ['mon/wed/fri 7am', week(1, 0, 2, 4), '07:00'],
    ['weekdays at 12 am', week(1, 0, 1, 2, 3, 4), '00:00'],
    ['every third week on Monday & Tuesday', week(3, 0, 1), undefined],
    ['first and third Saturday', { kind: 'month', every: 1, nths: [1, 3], weekday: 5 }, undefined],
    ['every first Saturday', { kind: 'month', every: 1, nths: [1], weekday: 5 }, undefined],
    ['the second Tuesday of the month, 18:00', { kind: 'month', every: 1, nths: [2], weekday: 1 }, '18:00'],
    ['last Friday of every 2 months', { kind: 'month', every: 2, nths: [-1], weekday: 4 }, undefined],
    ['every other day', { kind: 'day', every: 2 }, undefined],
    ['daily at 19:05', { kind: 'day', every: 1 }, '19:05'],
    ['every 5 days', { kind: 'day', every: 5 }, undefined],
    ['fortnightly on saturdays at 10', week(2, 5), '10:00'],
    ['every mon at 7', week(1, 0), '07:00'],
    ['3 times a week on mon, wed, fri', week(1, 0, 2, 4), undefined],
    ['every sunday of the month', week(1, 6), undefined],
    ['every Friday, seasons of eight', { ...week(1, 4), season: 8 }, undefined],
    ['every Friday 17:00, 12 times', { ...week(1, 4), season: 12 }, '17:00'],
  ])('%s', (words, wish, time) => {
    expect(valueOf(readRhythm(words, today))).toEqual({ wish, time })
  })

  test('what is not understood is said, with an example or what is missing', () => {
    expect(refusalOf(readRhythm('every Blursday', today))).toMatch(
      /“blursday” was not understood\. Write it like “every Thursday 17:00”/,
    )
    expect(refusalOf(readRhythm('twice a week', today))).toMatch(
      /on which 2 days: for example “twice a week on Tuesday and Friday”/,
    )
    expect(refusalOf(readRhythm('twice a week on Tuesday', today))).toMatch(
      /2 times a week, but 1 day is named/,
    )
    expect(refusalOf(readRhythm('every Thursday 25:00', today))).toMatch(/“25:00” is not a time of day/)
    expect(refusalOf(readRhythm('first Monday and Friday', today))).toMatch(
      /one weekday can be chosen.*second rhythm/,
    )
    expect(refusalOf(readRhythm('17:00', today))).toMatch(/No weekday was found/)
    expect(refusalOf(readRhythm('weekly', today))).toMatch(/on which day/)
    expect(refusalOf(readRhythm('fifth friday of the month', today))).toMatch(/Not every month has a fifth/)
    expect(refusalOf(readRhythm('every thursday and every second tuesday', today))).toMatch(/two rhythms/)
    expect(refusalOf(readRhythm('monthly on sunday', today))).toMatch(/which of the month/)
    expect(refusalOf(readRhythm('every 10 on saturday', today))).toMatch(/“10” was not understood/)
    expect(refusalOf(readRhythm('every mon at 27', today))).toMatch(/“at 27” is not a time of day/)
    expect(refusalOf(readRhythm('fortnightly every 3 weeks on monday', today))).toMatch(
      /Two different distances/,
    )
  })

  test.each([
    ['every Friday 17:00 from 9 apr', '2027-04-09', '17:00'],
    ['every Friday, starting April 9th', '2027-04-09', undefined],
    ['every Friday from 4 dec', '2026-12-04', undefined],
    ['every Friday from 2027-01-08 at 9:30', '2027-01-08', '09:30'],
    ['every Friday from 4 December 2027', '2027-12-04', undefined],
  ])('%s', (words, from, time) => {
    expect(valueOf(readRhythm(words, today))).toEqual({ wish: week(1, 4), time, from })
  })

  test('what is only half understood is refused, not dropped', () => {
    expect(refusalOf(readRhythm('every friday from 31 feb', today))).toMatch(/“from 31 feb” is not a date/)
    expect(refusalOf(readRhythm('every friday seasons of many', today))).toMatch(/“many” is no number/)
    expect(refusalOf(readRhythm('every tuesday and second thursday', today))).toMatch(
      /“second thursday” comes round less often/,
    )
  })

  test('what the program itself says of a rhythm is understood by it', () => {
    const wish: fc.Arbitrary<RhythmWish> = fc.oneof(
      fc.record({
        kind: fc.constant('week' as const),
        every: fc.integer({ min: 1, max: 8 }),
        weekdays: fc
          .uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 })
          .map((d) => d.sort((a, b) => a - b)),
      }),
      fc.record({ kind: fc.constant('day' as const), every: fc.integer({ min: 1, max: 30 }) }),
      fc.record({
        kind: fc.constant('month' as const),
        every: fc.constant(1),
        nths: fc
          .uniqueArray(fc.constantFrom(1, 2, 3, 4, -1), { minLength: 1 })
          .map((n) => n.sort((a, b) => (a === -1 ? 9 : a) - (b === -1 ? 9 : b))),
        weekday: fc.integer({ min: 0, max: 6 }),
      }),
    )
    fc.assert(
      fc.property(wish, fc.integer({ min: 0, max: 23 }), (w, hour) => {
        const time = `${String(hour).padStart(2, '0')}:30`
        const read = valueOf(
          readRhythm(sayRhythm({ rule: valueOf(ruleOf(w)), start: '2026-11-05', time }), today),
        )
        expect(read).toEqual({ wish: wishOf(valueOf(ruleOf(w))), time })
      }),
    )
  })
})
