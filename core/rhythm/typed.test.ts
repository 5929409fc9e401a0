import fc from 'fast-check'
import { valueOf } from '../examples'
import { addDays, dayOf, daysBetween, sayAway, sayDay } from './days'
import { readDay, readTime } from './typed'

const today = '2026-11-24' // a Tuesday

test.each([
  ['3 dec', '2026-12-03'],
  ['Dec 3', '2026-12-03'],
  ['3rd of December', '2026-12-03'],
  ['3 dec 2027', '2027-12-03'],
  ['10 jan', '2027-01-10'],
  ['10 nov', '2026-11-10'],
  ['29 feb 2028', '2028-02-29'],
  ['2026-12-03', '2026-12-03'],
  ['thu', '2026-11-26'],
  ['tue', '2026-12-01'],
  ['next thu', '2026-12-03'],
  ['next mon', '2026-11-30'],
  ['next week', '2026-11-30'],
  ['today', '2026-11-24'],
  ['tomorrow', '2026-11-25'],
  ['+2w', '2026-12-08'],
  ['+10d', '2026-12-04'],
  ['-3d', '2026-11-21'],
  ['in 2 weeks', '2026-12-08'],
  ['in a month', '2026-12-24'],
  ['3 weeks ago', '2026-11-03'],
  ['Thu 3 Dec, 9 d', '2026-12-03'],
])('“%s” is %s', (text, day) => {
  expect(valueOf(readDay(text, today))).toBe(day)
})

test.each(['', '3/12', '31 nov', '29 feb 2027', 'soon', 'ma', '2026-13-01', 'next', '99 dec'])(
  '“%s” is refused, with how to write it',
  (text) => {
    expect(readDay(text, today)).toMatchObject({
      ok: false,
      problem: { sentence: expect.stringContaining('3 Dec') },
    })
  },
)

test('a month ends where the next is shorter', () => {
  expect(valueOf(readDay('+1m', '2027-01-31'))).toBe('2027-02-28')
})

test('what is shown of a date within nine months is read back as that date', () => {
  fc.assert(
    fc.property(fc.integer({ min: -50, max: 260 }), fc.integer({ min: 0, max: 20_000 }), (off, from) => {
      const now = dayOf(from)
      const day = addDays(now, off)
      const shown = `${sayDay(day, now)}, ${sayAway(day, now)}`
      expect(daysBetween(day, valueOf(readDay(shown, now)))).toBe(0)
    }),
  )
})

test.each([
  ['17:30', '17:30'],
  ['17.30', '17:30'],
  ['1730', '17:30'],
  ['930', '09:30'],
  ['17', '17:00'],
  ['9', '09:00'],
  ['5 pm', '17:00'],
  ['5:30pm', '17:30'],
  ['12 am', '00:00'],
  ['12pm', '12:00'],
  ['5 p.m.', '17:00'],
])('“%s” is %s', (text, time) => {
  expect(valueOf(readTime(text))).toBe(time)
})

test.each(['', '24:00', '17:60', '13 pm', 'noonish', '17:3'])('“%s” is no time of day', (text) => {
  expect(readTime(text)).toMatchObject({ ok: false })
})
