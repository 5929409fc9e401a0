import { median, range } from 'd3-array'
import { drawsOf, normal } from '../plan/chance'
import { runs } from '../runs'
import { chanceOfPairs, chanceOfRanks, claimsOf, type Comparison } from './claims'

const pages = runs(100)
type Draw = () => number

/** How many of the pages may at most, so that a share of this size is refuted no more than once in a hundred. */
const atMost = (share: number) => share * pages + 2.33 * Math.sqrt(share * (1 - share) * pages)

/** So many cases around a middle, log-normal with sigma 0.5. */
const cases = (next: Draw, many: number, middle = 1) =>
  range(many).map(() => middle * Math.exp(0.5 * normal(next)))
const between = (next: Draw, low: number, high: number) => low + Math.floor(next() * (high - low + 1))
const noise = (next: Draw): Comparison => ({
  mine: cases(next, between(next, 10, 40)),
  others: cases(next, between(next, 10, 40)),
  usual: 1,
})

test('of pages of pure noise at most one in ten shows any claim', () => {
  const next = drawsOf(20_261_202)
  const shown = range(pages).filter(() => claimsOf(range(6).map(() => noise(next))).size > 0)
  expect(shown.length).toBeLessThanOrEqual(atMost(0.1))
})

test('estimates that are right are called wrong on at most one page in ten, whether planned alike or each its own', () => {
  for (const isAlike of [true, false]) {
    const next = drawsOf(20_261_203)
    const shown = range(pages).filter(() => {
      const page = range(6).map((): Comparison => {
        const others = range(between(next, 10, 40)).map(() => (isAlike ? 120 : between(next, 30, 240)))
        const mine = others.map((planned) => planned * Math.exp(0.5 * normal(next)))
        return { mine, others, usual: median(others) ?? 0, isPaired: true }
      })
      return claimsOf(page).size > 0
    })
    expect([isAlike, shown.length <= atMost(0.1)]).toEqual([isAlike, true])
  }
})

test('a true factor of 1.6 over 25 cases is said three times in four and more, beside five comparisons of noise', () => {
  const next = drawsOf(20_261_204)
  const found = range(pages).filter(() => {
    const real: Comparison = { mine: cases(next, 25, 1.6), others: cases(next, 25), usual: 1 }
    return claimsOf([...range(5).map(() => noise(next)), real]).has(real)
  })
  // Four thousand such pages gave 77 to 79 in a hundred.
  expect(found.length).toBeGreaterThanOrEqual(pages - atMost(0.25))
})

test('each of the three is needed: ten cases, more than chance, 15 % of the usual', () => {
  const low = range(10).map((i) => 100 + i)
  const of = (mine: number[], others: number[], usual = 100) => claimsOf([{ mine, others, usual }]).size
  const high = low.map((x) => x + 60)
  expect(of(high, low)).toBe(1)
  expect(of(low, high)).toBe(1)
  expect(of(high.slice(1), low)).toBe(0)
  expect(of(high, low.slice(1))).toBe(0)
  // Apart for certain, and by less than is worth saying.
  expect(
    of(
      low.map((x) => x + 14),
      low,
    ),
  ).toBe(0)
  expect(
    of(
      low.map((x) => x + 15),
      low,
    ),
  ).toBe(1)
  // Medians far apart among cases that lie everywhere.
  const wide = range(10).map((i) => i * 30)
  expect(
    of(
      wide,
      wide.map((x) => x + 20),
    ),
  ).toBe(0)
})

test('the more is looked at on a page, the clearer each has to be', () => {
  const next = drawsOf(3)
  const others = range(12).map((i) => i)
  const alone: Comparison = { mine: others.map((x) => x + 3.6), others, usual: 5 }
  expect(claimsOf([alone]).has(alone)).toBe(true)
  expect(claimsOf([alone, ...range(30).map(() => noise(next))]).has(alone)).toBe(false)
})

test('the chance of ranks is what counting all ways of drawing them says, and the same each time', () => {
  // Of three and three, 2 of the 20 ways are as far apart as 1, 2, 3 against 4, 5, 6.
  expect(chanceOfRanks([1, 2, 3], [4, 5, 6])).toBeCloseTo(0.1, 1)
  expect(chanceOfRanks([4, 5, 6], [1, 2, 3])).toBeCloseTo(0.1, 1)
  // All ties: nothing is ever further apart.
  expect(chanceOfRanks([7, 7, 7], [7, 7, 7, 7])).toBe(1)
  // 1, 2, 2 against 2, 3: sum of two ranks, 3 + 5 = 8, is 2 off the expected 6; as far are 8 (three of ten) and 4 (three).
  expect(chanceOfRanks([1, 2, 2], [2, 3])).toBeCloseTo(0.6, 1)
  // Three pairs, all one way: 2 of the 8 ways are as far.
  expect(chanceOfPairs([2, 4, 6], [1, 3, 5])).toBeCloseTo(0.25, 1)
  expect(chanceOfRanks([1, 2, 2], [2, 3])).toBe(chanceOfRanks([1, 2, 2], [2, 3]))
})
