import { hashtag } from './at-outlet'
import { charactersIn, isLonger } from './limits'

describe('limits', () => {
  test('characters are code points: a sign of two units counts once, half of one by itself too', () => {
    expect(charactersIn('')).toBe(0)
    expect(charactersIn('Knots')).toBe(5)
    expect(charactersIn('a⛵b🪢🪢')).toBe(5)
    expect(charactersIn('\ud83e')).toBe(1)
    for (const text of ['🪢🪢🪢', 'x🪢', '🪢x', '\ude00\ud83d', 'ü n 日本'])
      expect(charactersIn(text)).toBe([...text].length)
  })

  test('a text is longer than a limit by its characters, not by its units', () => {
    expect(isLonger('🪢🪢🪢', 3)).toBe(false)
    expect(isLonger('🪢🪢🪢', 2)).toBe(true)
    expect(isLonger('abc', 3)).toBe(false)
    expect(isLonger('abcd', 3)).toBe(true)
  })

  test('a tag is the same hashtag however often it is asked for', () => {
    for (const _ of [1, 2]) {
      expect(hashtag('keel bolts, bronze')).toBe('#keelBoltsBronze')
      expect(hashtag('…')).toBe('')
    }
  })
})
