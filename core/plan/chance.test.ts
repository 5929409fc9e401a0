import fc from 'fast-check'
import { drawsOf, manyDraws, manyNormals, normal } from './chance'

test('drawn at once or one by one, a seed gives the same numbers, all from 0 to 1', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 0xffffffff }), fc.integer({ min: 1, max: 50 }), (seed, count) => {
      const [draw, again] = [drawsOf(seed), drawsOf(seed)]
      const single = Array.from({ length: count }, () => draw())
      expect([...manyDraws(seed, count)]).toEqual(single)
      expect(single.every((n) => n >= 0 && n < 1)).toBe(true)
      expect([...manyNormals(seed, count)]).toEqual(Array.from({ length: count }, () => normal(again)))
    }),
  )
})

test('they are what they always were, and normal ones have the middle and spread that they should', () => {
  const draw = drawsOf(42)
  expect([draw(), draw(), draw()].map((n) => n.toFixed(6))).toEqual(['0.601104', '0.448291', '0.852466'])
  const many = manyNormals(7, 20_000)
  const mean = many.reduce((a, b) => a + b, 0) / many.length
  const spread = many.reduce((a, b) => a + (b - mean) ** 2, 0) / many.length
  expect(Math.abs(mean)).toBeLessThan(0.03)
  expect(Math.abs(spread - 1)).toBeLessThan(0.05)
})
