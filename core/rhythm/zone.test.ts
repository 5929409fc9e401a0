import { dayAt, localAt, momentAt, sayLeft, sayUntil } from './zone'

describe('moments in a zone', () => {
  test('17:00 stays 17:00 across a clock change', () => {
    expect(momentAt('2026-10-22', '17:00', 'Europe/Lisbon')).toBe(Date.parse('2026-10-22T16:00:00Z'))
    expect(momentAt('2026-10-29', '17:00', 'Europe/Lisbon')).toBe(Date.parse('2026-10-29T17:00:00Z'))
  })

  test('a time that a clock change skips is taken as that much later', () => {
    expect(momentAt('2026-03-29', '01:30', 'Europe/Lisbon')).toBe(Date.parse('2026-03-29T01:30:00Z'))
    expect(localAt(momentAt('2026-03-29', '01:30', 'Europe/Lisbon'), 'Europe/Lisbon')).toEqual({
      day: '2026-03-29',
      time: '02:30',
    })
  })

  test('the date depends on the zone', () => {
    const at = Date.parse('2026-11-24T23:30:00Z')
    expect(dayAt(at, 'Europe/Lisbon')).toBe('2026-11-24')
    expect(dayAt(at, 'Asia/Tokyo')).toBe('2026-11-25')
  })

  test('what is left is said in two figures, and in calendar days further off', () => {
    const now = Date.parse('2026-11-24T09:00:00Z')
    expect(sayLeft(now, now + 12 * 60_000)).toBe('12 min')
    expect(sayLeft(now, now + 5 * 3_600_000 + 10 * 60_000)).toBe('5 h 10')
    expect(sayLeft(now, now - 3 * 3_600_000)).toBe('3 h ago')
    expect(sayUntil(now, Date.parse('2026-11-26T17:00:00Z'), 'Europe/Lisbon')).toBe('2 d 8 h')
    expect(sayUntil(now, Date.parse('2026-12-01T06:30:00Z'), 'Europe/Lisbon')).toBe('7 d')
    expect(sayUntil(now, Date.parse('2026-11-01T06:30:00Z'), 'Europe/Lisbon')).toBe('23 d ago')
  })
})
