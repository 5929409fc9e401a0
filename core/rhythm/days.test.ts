import fc from 'fast-check'
import { addDays, dayNumber, dayOf, daysBetween, sayAway, sayDay, sayDayLong, weekday } from './days'

describe('dates', () => {
  test('count from 1970 and back', () => {
    expect(dayNumber('1970-01-01')).toBe(0)
    expect(dayOf(dayNumber('2026-11-24'))).toBe('2026-11-24')
    expect(addDays('2026-02-27', 3)).toBe('2026-03-02')
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29')
    expect(daysBetween('2026-11-24', '2026-12-10')).toBe(16)
  })

  test('weekdays begin on Monday', () => {
    expect(weekday('2026-11-23')).toBe(0)
    expect(weekday('2026-11-26')).toBe(3)
    expect(weekday('2026-11-29')).toBe(6)
    expect(weekday('1969-12-28')).toBe(6)
  })

  test('are said as people say them', () => {
    expect(sayDay('2026-11-26')).toBe('Thu 26 Nov')
    expect(sayDay('2028-01-06', '2026-11-24')).toBe('Thu 6 Jan 2028')
    expect(sayDayLong('2026-11-24')).toBe('Tuesday 24 November')
    expect(sayAway('2026-11-24', '2026-11-24')).toBe('today')
    expect(sayAway('2026-11-25', '2026-11-24')).toBe('tomorrow')
    expect(sayAway('2026-11-23', '2026-11-24')).toBe('yesterday')
    expect(sayAway('2026-12-10', '2026-11-24')).toBe('16 d')
    expect(sayAway('2026-11-20', '2026-11-24')).toBe('4 d ago')
  })

  test('day numbers and dates are inverses', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20_000, max: 60_000 }), (n) => {
        expect(dayNumber(dayOf(n))).toBe(n)
      }),
    )
  })
})
