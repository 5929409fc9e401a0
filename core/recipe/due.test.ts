import fc from 'fast-check'
import type { Lead } from '../records'
import { addDays, dayNumber, daysBetween } from '../rhythm/days'
import { dueDates, isShort, noticeOf, workingDays, type Dated } from './due'

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

  test('a lost day makes nothing late that was not: what had come stands, what was ahead goes back to the day of the loss', () => {
    const lost = (on: string) =>
      workingDays({
        hours: [60, 60, 60, 60, 60, 60, 60],
        daysOff: [],
        exceptions: { '2026-12-02': 0, '2026-12-03': 0 },
        lostOn: { '2026-12-02': on, '2026-12-03': on },
      })
    const dueAt = (days: number, on: string) =>
      dueDates([step('s', before(days))], '2026-12-10', lost(on)).get('s')
    // Said on Monday: due on Wednesday or Thursday is due on Tuesday.
    expect([dueAt(8, '2026-11-30'), dueAt(7, '2026-11-30')]).toEqual(['2026-12-01', '2026-12-01'])
    // Said on Wednesday itself: what was due then stands, what was due on Thursday is due then.
    expect([dueAt(8, '2026-12-02'), dueAt(7, '2026-12-02')]).toEqual(['2026-12-02', '2026-12-02'])
    // Said afterwards: nothing moves.
    expect([dueAt(8, '2026-12-05'), dueAt(7, '2026-12-05')]).toEqual(['2026-12-02', '2026-12-03'])
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

describe('short notice', () => {
  const every = workingDays({ hours: [60, 60, 60, 60, 60, 60, 60], daysOff: [] })
  const leads = [21, 20, 14, 12, 11, 6, 4, 3, 2, 1]
  const row = leads.map((days) => step(`s${days}`, before(days)))
  const all = new Set(row.map((s) => s.id))

  test('ten days for leads of 21 to 1 are pressed as the design has it', () => {
    const notice = noticeOf(row, all, '2026-11-30', '2026-12-10')
    expect(notice).toEqual({ from: '2026-11-30', days: 10, usual: 21 })
    const due = dueDates(row, '2026-12-10', every, notice)
    expect(row.map((s) => daysBetween(due.get(s.id) ?? '', '2026-12-10'))).toEqual([
      10, 10, 7, 6, 5, 3, 2, 1, 1, 0,
    ])
  })

  test('a lead on another step is counted through to the release; what follows it keeps its days', () => {
    const props = step('props', { kind: 'ahead', step: 'film', days: 10 })
    const film = step('film', before(10))
    const letters = step('letters', { kind: 'after', days: 2 })
    const steps = [props, film, letters]
    const notice = noticeOf(steps, new Set(['props', 'film', 'letters']), '2026-12-05', '2026-12-10')
    expect(notice.usual).toBe(20)
    const due = dueDates(steps, '2026-12-10', every, notice)
    expect([due.get('props'), due.get('film'), due.get('letters')]).toEqual([
      '2026-12-05',
      '2026-12-07',
      '2026-12-12',
    ])
  })

  test('there is none where there are days enough, or where what reaches back was done by then', () => {
    const isShortFrom = (open: ReadonlySet<string>, from: string) =>
      isShort(noticeOf(row, open, from, '2026-12-10'))
    expect(isShortFrom(all, '2026-11-19')).toBe(false)
    expect(isShortFrom(all, '2026-11-20')).toBe(true)
    expect(isShortFrom(new Set(['s4', 's1']), '2026-12-06')).toBe(false)
    expect(isShortFrom(new Set(['s4', 's1']), '2026-12-07')).toBe(true)
  })

  test('nothing is late at birth, whatever the leads, needs and days off', () => {
    const chance = fc.array(fc.record({ days: fc.nat(40), on: fc.option(fc.nat(5)) }), {
      minLength: 1,
      maxLength: 7,
    })
    fc.assert(
      fc.property(chance, fc.nat(30), fc.array(fc.nat(6), { maxLength: 3 }), (steps, days, off) => {
        const made = steps.map(({ days: lead, on }, i) =>
          step(
            `s${i}`,
            on !== null && on < i ? { kind: 'ahead', step: `s${on}`, days: lead } : before(lead),
            ...(i > 0 ? [`s${i - 1}`] : []),
          ),
        )
        const hours = [0, 1, 2, 3, 4, 5, 6].map((d) => (off.includes(d) ? 0 : 60))
        const from = '2026-11-20'
        const release = addDays(from, days)
        const notice = noticeOf(made, new Set(made.map((s) => s.id)), from, release)
        const due = dueDates(made, release, workingDays({ hours, daysOff: [] }), notice)
        expect(made.filter((s) => (due.get(s.id) ?? '') < from)).toEqual([])
      }),
    )
  })
})
