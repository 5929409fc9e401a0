import fc from 'fast-check'
import { isDeepStrictEqual } from 'node:util'
import { same } from './same'

/** Data as records hold it: no functions, no dates, fields that may say nothing. */
const data = fc.letrec<{ any: unknown }>((tie) => ({
  any: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    fc.constantFrom(0, 1, '', 'keel', true, null),
    fc.array(tie('any'), { maxLength: 3 }),
    fc.dictionary(
      fc.constantFrom('id', 'text', 'constructor', 'length'),
      fc.option(tie('any'), { nil: undefined }),
      {
        maxKeys: 3,
      },
    ),
  ),
})).any

/** The same data, made anew, fields the other way round. */
function turned(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(turned)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .reverse()
      .map(([k, v]) => [k, turned(v)]),
  )
}
/** Fields that say nothing left out. */
function bare(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(bare)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .map(([k, v]) => [k, bare(v)]),
  )
}

test('two say the same exactly where they do without what says nothing', () => {
  let [alike, other] = [0, 0]
  fc.assert(
    fc.property(data, data, (a, b) => {
      const is = isDeepStrictEqual(bare(a), bare(b))
      expect(same(a, b)).toBe(is)
      if (is) alike++
      else other++
      expect(same(a, turned(bare(a)))).toBe(true)
      expect(same(bare(a), turned(a))).toBe(true)
    }),
    { numRuns: 500 },
  )
  expect(other).toBeGreaterThan(50)
  expect(alike).toBeGreaterThan(3)
})

test('a list is no record, and a shorter list is another', () => {
  expect(same([], {})).toBe(false)
  expect(same({}, [])).toBe(false)
  expect(same(['a'], ['a', 'b'])).toBe(false)
  expect(same(['a', 'b'], ['a'])).toBe(false)
  expect(same({ 0: 'a' }, ['a'])).toBe(false)
  expect(same(null, {})).toBe(false)
})
