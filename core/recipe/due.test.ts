import fc from 'fast-check'
import type { Lead } from '../records'
import { addDays, dayNumber, daysBetween } from '../rhythm/days'
import { dueDates, workingDays, type Dated } from './due'

const before = (days: number): Lead => ({ kind: 'before', days })
const step = (id: string, lead: Lead, ...needs: string[]): Dated => ({ id, name: id, lead, needs })

/** The worked figures of the design: release Thu 10 Dec 2026, Saturdays off, 8 Dec a holiday. */
const works = workingDays({ hours: [60, 60, 60, 60, 60, 0, 60], daysOff: ['2026-12-08'] })

describe('counting back', () => {
  test.each([
    ['lead 14', before(14), '2026-11-26'],
    ['lead 12 falls on Sat 28 Nov, so Fri 27 Nov', before(12), '2026-11-27'],
    ['lead 2 falls on the holiday, so Mon 7 Dec', before(2), '2026-12-07'],
    ['lead 0 is the day itself', before(0), '2026-12-10'],
    ['after 2 falls on Sat 12 Dec, so Sun 13 Dec', { kind: 'after', days: 2 } satisfies Lead, '2026-12-13'],
  ])('%s', (_name, lead, due) => {
    expect(dueDates([step('s', lead)], '2026-12-10', works).get('s')).toBe(due)
  })

  test('a step is due no later than any that depends on it', () => {
    const due = dueDates(
      [step('script', before(2)), step('film', before(9), 'script'), step('edit', before(1), 'film')],
      '2026-12-10',
      works,
    )
    expect(due.get('film')).toBe('2026-12-01')
    expect(due.get('script')).toBe('2026-12-01')
  })

  test('a lead may refer to another step: a week before filming', () => {
    const due = dueDates(
      [step('props', { kind: 'ahead', step: 'film', days: 7 }), step('film', before(6))],
      '2026-12-10',
      works,
    )
    expect(due.get('film')).toBe('2026-12-04')
    expect(due.get('props')).toBe('2026-11-27')
  })

  test('leads that refer to each other in a circle still count from the release', () => {
    const due = dueDates(
      [step('a', { kind: 'ahead', step: 'b', days: 1 }), step('b', { kind: 'ahead', step: 'a', days: 1 })],
      '2026-12-10',
      works,
    )
    expect(due.size).toBe(2)
  })

  test('what comes after the release presses on nobody before it', () => {
    const due = dueDates(
      [step('check', before(0)), step('letters', { kind: 'after', days: 2 }, 'check')],
      '2026-12-10',
      works,
    )
    expect(due.get('check')).toBe('2026-12-10')
    expect(due.get('letters')).toBe('2026-12-13')
  })

  test('a week without hours counts every day', () => {
    expect(
      dueDates(
        [step('s', before(3))],
        '2026-12-10',
        workingDays({ hours: [0, 0, 0, 0, 0, 0, 0], daysOff: [] }),
      ).get('s'),
    ).toBe('2026-12-07')
  })

  test('every due date is a working day, at or before its dependents’ and its lead', () => {
    const hours = fc
      .array(fc.constantFrom(0, 60), { minLength: 7, maxLength: 7 })
      .filter((h) => h.some((x) => x > 0))
    const off = fc
      .uniqueArray(fc.integer({ min: 0, max: 40 }), { maxLength: 6 })
      .map((days) => days.map((d) => addDays('2026-11-10', d)))
    const steps = fc.array(
      fc.record({
        lead: fc.integer({ min: 0, max: 30 }),
        needs: fc.array(fc.nat({ max: 9 }), { maxLength: 3 }),
      }),
      { minLength: 1, maxLength: 10 },
    )
    fc.assert(
      fc.property(hours, off, steps, (h, daysOff, list) => {
        const rules = workingDays({ hours: h, daysOff })
        const dated = list.map((s, i) =>
          step(`s${i}`, before(s.lead), ...s.needs.filter((n) => n < i).map((n) => `s${n}`)),
        )
        const due = dueDates(dated, '2026-12-10', rules)
        dated.forEach((s, i) => {
          const day = due.get(s.id) ?? ''
          expect(rules(dayNumber(day))).toBe(true)
          expect(daysBetween(day, '2026-12-10')).toBeGreaterThanOrEqual(list[i]?.lead ?? 0)
          for (const need of s.needs) expect((due.get(need) ?? '') <= day).toBe(true)
        })
      }),
    )
  })
})
