import fc from 'fast-check'
import { fitTags, readTags, tagLength } from './tags'

describe('tags', () => {
  test('are counted with separators, and quotes round those with a space', () => {
    expect(tagLength([])).toBe(0)
    expect(tagLength(['oak'])).toBe(3)
    expect(tagLength(['oak', 'green oak', 'ribs'])).toBe(3 + 1 + 11 + 1 + 4)
    expect(tagLength(['café'])).toBe(4)
  })

  test('are kept in their order of priority under the limit', () => {
    expect(fitTags(['oak', 'green oak', 'ribs'], 15)).toEqual({ kept: ['oak', 'green oak'], left: ['ribs'] })
    expect(fitTags(['oak'], 2)).toEqual({ kept: [], left: ['oak'] })
  })

  test('are read from pasted text', () => {
    expect(readTags('#oak, "green  oak"; ribs\nOAK, ,')).toEqual(['oak', 'green oak', 'ribs'])
  })

  test('what is kept always fits, and one more would not', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ minLength: 1, maxLength: 12 }), { maxLength: 30 }),
        fc.integer({ min: 0, max: 200 }),
        (tags, limit) => {
          const { kept, left } = fitTags(tags, limit)
          expect([...kept, ...left]).toEqual(tags)
          expect(tagLength(kept)).toBeLessThanOrEqual(limit)
          if (left.length > 0) expect(tagLength(tags.slice(0, kept.length + 1))).toBeGreaterThan(limit)
        },
      ),
    )
  })
})
