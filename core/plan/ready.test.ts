import fc from 'fast-check'
import { aheadOf, readyCurve, spareStanding, type NextSlot } from './ready'

const slot = (n: number, ready: boolean, more: Partial<NextSlot> = {}): NextSlot => ({
  day: `2026-12-${String(3 + 7 * n).padStart(2, '0')}`,
  ready,
  ...more,
})
const today = '2026-11-24'

describe('ready ahead', () => {
  test('stops at the first slot that is not ready', () => {
    expect(aheadOf([slot(0, true), slot(1, true), slot(2, false), slot(3, true)], [], today)).toMatchObject({
      run: 2,
      breaks: '2026-12-17',
      weeks: 3.3,
      used: 0,
    })
    expect(aheadOf([], [], today)).toMatchObject({ run: 0, breaks: undefined, weeks: 0 })
  })

  test('spares in date fill the first holes, the one that goes stale first before others', () => {
    const holes = [slot(0, false), slot(1, true), slot(2, false), slot(3, false)]
    expect(aheadOf(holes, [{ ready: true }, { ready: true, staleAfter: '2026-12-05' }], today)).toMatchObject(
      { run: 0, used: 2, breaks: '2026-12-24' },
    )
    // Neither an unready spare nor a stale one carries anything.
    expect(
      aheadOf(holes, [{ ready: false }, { ready: true, staleAfter: '2026-12-01' }], today),
    ).toMatchObject({ used: 0, breaks: '2026-12-03' })
    expect(aheadOf(holes, [{ ready: true, notBefore: '2026-12-10' }], today)).toMatchObject({ used: 0 })
  })

  test('slots that can’t be made early neither count nor break the row', () => {
    expect(
      aheadOf([slot(0, true), slot(1, false, { live: true }), slot(2, true), slot(3, false)], [], today),
    ).toMatchObject({ run: 2, breaks: '2026-12-24' })
  })

  test('the wish has a ceiling: topical work made too early, more evergreen than wanted', () => {
    const row = [slot(0, true), slot(1, true), slot(2, true, { topical: true })]
    expect(aheadOf(row, [], today, { evergreen: 1, topical: 2 })).toMatchObject({
      tooEarly: ['2026-12-17'],
      tooMany: true,
    })
    expect(aheadOf(row, [], today, { evergreen: 2, topical: 3 })).toMatchObject({
      tooEarly: [],
      tooMany: false,
    })
  })

  test('one more ready slot or spare never makes it break earlier', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 4 }), fc.nat(3), fc.nat(3), (ready, spares, which) => {
        const slots = ready.map((r, i) => slot(i, r))
        const weeks = aheadOf(
          slots,
          Array.from({ length: spares }, () => ({ ready: true })),
          today,
        ).weeks
        expect(
          aheadOf(
            slots,
            Array.from({ length: spares + 1 }, () => ({ ready: true })),
            today,
          ).weeks,
        ).toBeGreaterThanOrEqual(weeks)
        expect(
          aheadOf(
            slots.map((s, i) => (i === which ? { ...s, ready: true } : s)),
            Array.from({ length: spares }, () => ({ ready: true })),
            today,
          ).weeks,
        ).toBeGreaterThanOrEqual(weeks)
      }),
    )
  })
})

test('the curve counts, at each moment, the releases to come that were ready then', () => {
  const releases = [
    { out: 100, ready: 80 },
    { out: 200, ready: 90 },
    { out: 300, ready: 250 },
    { out: 400, ready: undefined },
  ]
  expect(readyCurve(releases, [70, 85, 95, 150, 260, 350])).toEqual([0, 1, 2, 1, 1, 0])
})

test('a spare is in date, going stale or stale', () => {
  expect(spareStanding({ ready: true }, today)).toEqual({ is: 'in date', left: undefined })
  expect(spareStanding({ ready: true, staleAfter: '2026-12-04' }, today)).toEqual({
    is: 'going stale',
    left: 10,
  })
  expect(spareStanding({ ready: true, staleAfter: '2026-11-20' }, today)).toEqual({ is: 'stale', left: -4 })
  expect(spareStanding({ ready: true, staleAfter: '2027-03-01' }, today).is).toBe('in date')
})
