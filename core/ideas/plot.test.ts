import fc from 'fast-check'
import { decades, logDomain } from './plot'

test('no figure, and a single one, give an axis of at least a decade', () => {
  expect(decades(logDomain([]))).toEqual([1, 10])
  expect(decades(logDomain([0]))).toEqual([1, 10])
  expect(decades(logDomain([320]))).toEqual([1000])
  expect(decades([0, Infinity])).toEqual([])
})

test('every list of figures has an axis that ends and holds them all', () => {
  const figure = fc.oneof(fc.nat(), fc.constantFrom(0, Infinity, NaN, 1e15))
  fc.assert(
    fc.property(fc.array(figure, { maxLength: 6 }), (values) => {
      const [from, to] = logDomain(values)
      expect(decades([from, to]).length).toBeLessThan(20)
      for (const v of values) if (Number.isFinite(v)) expect(Math.max(1, v)).toBeLessThanOrEqual(to)
      expect(to / from).toBeGreaterThanOrEqual(10)
    }),
  )
})
