import { bisectRight, max, median, range } from 'd3-array'
import { drawsOf } from '../plan/chance'
import { resampledMedians } from './resampled'

/** The same by the book: so many values drawn one by one, and the middle of them. */
function byTheBook(values: readonly number[], next: () => number): () => number {
  return () => median(values, () => values[Math.floor(next() * values.length)]) ?? 0
}

/** How far the laws of two samples are from each other (Kolmogorov and Smirnov). */
function distance(a: readonly number[], b: readonly number[]): number {
  const [mine, theirs] = [Float64Array.from(a).sort(), Float64Array.from(b).sort()]
  return (
    max([...mine, ...theirs], (x) =>
      Math.abs(bisectRight(mine, x) / mine.length - bisectRight(theirs, x) / theirs.length),
    ) ?? 1
  )
}

const many = 6000

test.each([1, 2, 3, 8, 9, 24, 61])('medians of resamples of %i values follow the law of the book', (n) => {
  const next = drawsOf(n)
  const values = range(n).map(() => Math.round(next() * 40) / 4)
  const [mine, book] = [resampledMedians(values, drawsOf(7)), byTheBook(values, drawsOf(8))]
  // Two samples of so many of one law are further apart once in ten thousand times.
  expect(
    distance(
      range(many).map(() => mine()),
      range(many).map(() => book()),
    ),
  ).toBeLessThan(2.23 * Math.sqrt(2 / many))
})

test('the same seed gives the same medians', () => {
  const of = () => {
    const next = resampledMedians([3, 1, 4, 1, 5, 9, 2, 6], drawsOf(3))
    return range(20).map(() => next())
  }
  expect(of()).toEqual(of())
})
