import fc from 'fast-check'
import { addDays } from '../rhythm/days'
import { layWork, minutesByDay, minutesOn, type Work } from './load'

const settings = { hours: [120, 120, 120, 120, 120, 0, 60], daysOff: ['2026-11-26'] }
const work = (id: string, minutes: number, due: string, ...needs: string[]): Work => ({
  id,
  minutes,
  due,
  needs,
})

describe('work laid on days', () => {
  test('minutes of a day go by the weekday, none on days off', () => {
    expect(minutesOn(settings, '2026-11-24')).toBe(120)
    expect(minutesOn(settings, '2026-11-28')).toBe(0)
    expect(minutesOn(settings, '2026-11-26')).toBe(0)
  })

  test('goes earliest due first, after what it needs', () => {
    const load = layWork(
      [
        work('edit', 60, '2026-11-25', 'film'),
        work('film', 60, '2026-11-27'),
        work('write', 60, '2026-11-24'),
      ],
      settings,
      '2026-11-24',
    )
    expect(load.blocks).toEqual([
      { id: 'write', day: '2026-11-24', minutes: 60 },
      { id: 'film', day: '2026-11-24', minutes: 60 },
      { id: 'edit', day: '2026-11-25', minutes: 60 },
    ])
    expect(load.ends.get('edit')).toBe('2026-11-25')
  })

  test('is split into chunks of at least half an hour', () => {
    expect(
      layWork([work('a', 100, '2026-11-24'), work('b', 90, '2026-11-25')], settings, '2026-11-24').blocks,
    ).toEqual([
      { id: 'a', day: '2026-11-24', minutes: 100 },
      { id: 'b', day: '2026-11-25', minutes: 90 },
    ])
    expect(
      layWork([work('a', 130, '2026-11-24')], settings, '2026-11-24').blocks.map((b) => b.minutes),
    ).toEqual([100, 30])
  })

  test('a due date on which it does not end is marked as over', () => {
    const load = layWork([work('a', 300, '2026-11-25')], settings, '2026-11-24')
    expect(load.over.get('2026-11-25')).toBe(300)
    expect(load.ends.get('a')).toBe('2026-11-27')
  })

  test('setting up takes its minutes once a day and kind, round blocks that are laid already', () => {
    const film = (id: string, minutes: number, laid: { day: string; minutes: number }[] = []): Work => ({
      ...work(id, minutes, '2026-12-01'),
      kind: 'film',
      laid,
    })
    const load = layWork(
      [film('a', 45), film('b', 30), film('c', 60, [{ day: '2026-11-25', minutes: 60 }])],
      { ...settings, setup: { film: 45 } },
      '2026-11-24',
    )
    expect(load.blocks).toEqual([
      { id: 'c', day: '2026-11-25', minutes: 60 },
      { id: 'a', day: '2026-11-24', minutes: 45 },
      { id: 'b', day: '2026-11-24', minutes: 30 },
    ])
    expect([...minutesByDay(load)].sort()).toEqual([
      ['2026-11-24', 120],
      ['2026-11-25', 105],
    ])
    expect(load.ends.get('c')).toBe('2026-11-25')
  })

  test('work is not laid before its earliest date', () => {
    expect(
      layWork([{ ...work('a', 30, '2026-11-24'), earliest: '2026-11-27' }], settings, '2026-11-24').blocks,
    ).toEqual([{ id: 'a', day: '2026-11-27', minutes: 30 }])
  })

  test('a week without hours lays nothing and ends', () => {
    const load = layWork(
      [work('a', 30, '2026-11-25')],
      { hours: [0, 0, 0, 0, 0, 0, 0], daysOff: [] },
      '2026-11-24',
    )
    expect(load.blocks).toEqual([])
    expect(load.over.size).toBe(1)
  })

  test('never goes over a day, loses no minute, and keeps every need', () => {
    const one = fc.record({
      minutes: fc.integer({ min: 0, max: 400 }),
      due: fc.integer({ min: -5, max: 30 }),
      needs: fc.array(fc.nat({ max: 11 }), { maxLength: 3 }),
    })
    fc.assert(
      fc.property(fc.array(one, { maxLength: 12 }), (list) => {
        const all = list.map((w, i) =>
          work(
            `w${i}`,
            w.minutes,
            addDays('2026-11-24', w.due),
            ...w.needs.filter((n) => n < i).map((n) => `w${n}`),
          ),
        )
        const load = layWork(all, settings, '2026-11-24')
        for (const [day, minutes] of minutesByDay(load))
          expect(minutes).toBeLessThanOrEqual(minutesOn(settings, day))
        for (const w of all) {
          const mine = load.blocks.filter((b) => b.id === w.id)
          expect(mine.reduce((sum, b) => sum + b.minutes, 0)).toBe(w.minutes)
          for (const need of w.needs)
            for (const b of mine) expect((load.ends.get(need) ?? '') <= b.day).toBe(true)
        }
      }),
    )
  })
})
