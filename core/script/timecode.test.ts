import fc from 'fast-check'
import { refusalOf, valueOf } from '../examples'
import { readTime, sayMinutes, sayTime } from './timecode'

describe('times', () => {
  test.each([
    ['9:51', 591],
    ['1:02:05', 3725],
    ['1m20', 80],
    ['1h02m05s', 3725],
    ['9m', 540],
    ['0:00', 0],
    ['75', 75],
    [' 12:30 ', 750],
    ['90:00', 5400],
    ['1h30', 5400],
    ['2 h 10', 7800],
    ['2 h 05', 7500],
    ['1h02m', 3720],
    ['35 min', 2100],
  ])('%s is read', (text, seconds) => {
    expect(valueOf(readTime(text))).toBe(seconds)
  })

  test.each(['9:71', '9m71', '1h75', '1h5m75', '1:61:00', 'soon', '', '-3', '1:2:3', '9.5'])(
    '“%s” is refused with an example',
    (text) => {
      expect(refusalOf(readTime(text))).toContain('9:51')
    },
  )

  test('are said and read back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000 }), (seconds) => {
        expect(valueOf(readTime(sayTime(seconds)))).toBe(seconds)
      }),
    )
  })

  test('minutes of work are said and read back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6000 }), (minutes) => {
        expect(valueOf(readTime(sayMinutes(minutes)))).toBe(minutes * 60)
      }),
    )
  })

  test('minutes of work are said shortly', () => {
    expect(sayMinutes(35)).toBe('35 min')
    expect(sayMinutes(60)).toBe('1 h')
    expect(sayMinutes(130)).toBe('2 h 10')
    expect(sayMinutes(125)).toBe('2 h 05')
    expect(sayMinutes(119.7)).toBe('2 h')
  })
})
