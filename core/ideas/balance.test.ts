import fc from 'fast-check'
import { wholeShares } from './balance'

test('wishes are kept in proportion and make a hundred', () => {
  expect(wholeShares([30, 30, 30])).toEqual([34, 33, 33])
  expect(wholeShares([50, 25, 25])).toEqual([50, 25, 25])
  expect(wholeShares([200, 100, 0])).toEqual([67, 33, 0])
  expect(wholeShares([0, 0])).toEqual([0, 0])
  fc.assert(
    fc.property(fc.array(fc.nat(400), { minLength: 1, maxLength: 12 }), (typed) => {
      const kept = wholeShares(typed)
      const all = typed.reduce((a, b) => a + b, 0)
      expect(kept.reduce((a, b) => a + b, 0)).toBe(all === 0 ? 0 : 100)
      typed.forEach((t, i) => {
        expect(Math.abs((kept[i] ?? 0) - (all === 0 ? 0 : (t * 100) / all))).toBeLessThan(1)
      })
    }),
  )
})
