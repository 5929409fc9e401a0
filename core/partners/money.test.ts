import { inCents, sayMoney } from './money'

test('sums are whole cents, with two places where there are any, and no currency that nobody chose', () => {
  expect(inCents(0.1 + 0.2)).toBe(0.3)
  expect(inCents(110.1 * 3)).toBe(330.3)
  expect(inCents(2.8e-14)).toBe(0)
  expect(sayMoney(81.2, '€')).toBe('81.20 €')
  expect(sayMoney(1200, 'A$')).toBe('1,200 A$')
  expect(sayMoney(240, undefined)).toBe('240')
  expect(sayMoney(100 - 33.4 * 3, '€')).toBe('-0.20 €')
})
