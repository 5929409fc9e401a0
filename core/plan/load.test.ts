import fc from 'fast-check'
import { addDays } from '../rhythm/days'
import type { WorkBlock, Task } from './task'
import { layWork, minutesByDay, minutesOn, planFor, type HoursOf, type Load } from './load'

const settings = { hours: [120, 120, 120, 120, 120, 0, 60], daysOff: ['2026-11-26'] }
const work = (id: string, minutes: number, due: string, ...needs: string[]): Task => ({
  id,
  episode: id,
  kind: 'write',
  minutes,
  due,
  needs,
  split: true,
  weight: 1,
})
const lay = (tasks: readonly Task[], hours: HoursOf, today: string, laid: readonly WorkBlock[] = []): Load =>
  layWork(planFor(tasks, laid, hours, today))
const plain = (load: Load) => load.blocks.map(({ id, day, minutes }) => ({ id, day, minutes }))

describe('work laid on days', () => {
  test('minutes of a day go by the weekday, none on days off', () => {
    expect(minutesOn(settings, '2026-11-24')).toBe(120)
    expect(minutesOn(settings, '2026-11-28')).toBe(0)
    expect(minutesOn(settings, '2026-11-26')).toBe(0)
  })

  test('goes earliest due first, after what it needs', () => {
    const load = lay(
      [
        work('edit', 60, '2026-11-25', 'film'),
        work('film', 60, '2026-11-27'),
        work('write', 60, '2026-11-24'),
      ],
      settings,
      '2026-11-24',
    )
    expect(plain(load)).toEqual([
      { id: 'write', day: '2026-11-24', minutes: 60 },
      { id: 'film', day: '2026-11-24', minutes: 60 },
      { id: 'edit', day: '2026-11-25', minutes: 60 },
    ])
    expect(load.ends.get('edit')).toBe('2026-11-25')
  })

  test('is split into chunks of at least half an hour', () => {
    const blocks = (tasks: Task[]) => plain(lay(tasks, settings, '2026-11-24'))
    expect(blocks([work('a', 100, '2026-11-24'), work('b', 90, '2026-11-25')])).toEqual([
      { id: 'a', day: '2026-11-24', minutes: 100 },
      { id: 'b', day: '2026-11-25', minutes: 90 },
    ])
    expect(blocks([work('a', 130, '2026-11-24')]).map((b) => b.minutes)).toEqual([100, 30])
  })

  test('a due date on which it does not end is marked as over', () => {
    const load = lay([work('a', 300, '2026-11-25')], settings, '2026-11-24')
    expect(load.over.get('2026-11-25')).toBe(300)
    expect(load.ends.get('a')).toBe('2026-11-27')
  })

  test('setting up takes its minutes once a day and kind, round blocks that are laid already', () => {
    const film = (id: string, minutes: number): Task => ({
      ...work(id, minutes, '2026-12-01'),
      kind: 'film',
      split: false,
    })
    const load = lay(
      [film('a', 45), film('b', 30), film('c', 60)],
      { ...settings, setup: { film: 45 } },
      '2026-11-24',
      [{ id: 'c', day: '2026-11-25', minutes: 60 }],
    )
    expect(plain(load)).toEqual([
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

  test('a block that lies before what it needs is set aside, and its work comes after it', () => {
    const load = lay(
      [work('film', 60, '2026-11-27'), work('edit', 60, '2026-11-25', 'film')],
      settings,
      '2026-11-24',
      [
        { id: 'film', day: '2026-11-27', minutes: 60 },
        { id: 'edit', day: '2026-11-25', minutes: 60 },
      ],
    )
    expect(load.broken).toEqual([{ id: 'edit', day: '2026-11-25', minutes: 60 }])
    expect(plain(load)).toEqual([
      { id: 'film', day: '2026-11-27', minutes: 60 },
      { id: 'edit', day: '2026-11-27', minutes: 60 },
    ])
  })

  test('what a laid block needs is laid before it, though it is due later than other work', () => {
    const load = lay(
      [
        work('other', 120, '2026-11-25'),
        work('film', 60, '2026-12-10'),
        work('edit', 60, '2026-12-11', 'film'),
      ],
      settings,
      '2026-11-24',
      [{ id: 'edit', day: '2026-11-24', minutes: 60 }],
    )
    expect(load.broken).toEqual([])
    expect([load.ends.get('film'), load.ends.get('other')]).toEqual(['2026-11-24', '2026-11-25'])
  })

  test('what was worked on a day is gone from it: 139 of 240 minutes leave 101', () => {
    const hours = { ...settings, exceptions: { '2026-11-24': 240 }, worked: new Map([['2026-11-24', 139]]) }
    expect(minutesOn(hours, '2026-11-24')).toBe(101)
    expect(plain(lay([work('edit', 150, '2026-11-25')], hours, '2026-11-24'))[0]?.minutes).toBe(101)
    expect(minutesOn({ ...hours, worked: new Map([['2026-11-24', 300]]) }, '2026-11-24')).toBe(0)
  })

  test('work is not laid before its earliest date', () => {
    const load = lay([{ ...work('a', 30, '2026-11-24'), earliest: '2026-11-27' }], settings, '2026-11-24')
    expect(plain(load)).toEqual([{ id: 'a', day: '2026-11-27', minutes: 30 }])
  })

  test('a week without hours lays nothing and ends', () => {
    const load = lay(
      [work('a', 30, '2026-11-25')],
      { hours: [0, 0, 0, 0, 0, 0, 0], daysOff: [] },
      '2026-11-24',
    )
    expect(plain(load)).toEqual([])
    expect(load.over.size).toBe(1)
  })

  test('what is due today and fits an empty day is laid on it, beyond what is left of it', () => {
    const hours = { ...settings, worked: new Map([['2026-11-24', 110]]) }
    const load = lay([work('a', 40, '2026-11-24'), work('b', 130, '2026-11-23')], hours, '2026-11-24')
    expect(plain(load).filter((b) => b.day === '2026-11-24')).toEqual([
      { id: 'a', day: '2026-11-24', minutes: 40 },
    ])
    expect(load.ends.get('b')).toBe('2026-11-27')
  })

  test('short work and what no release waits for leave the first day to work that one waits for', () => {
    const out = { release: '2026-12-03' }
    const tags = work('tags', 10, '2026-11-25')
    const shots: Task = { ...work('shots', 115, '2026-11-26'), ...out, split: false }
    const load = lay([tags, shots], settings, '2026-11-24')
    expect(plain(load)).toEqual([
      { id: 'tags', day: '2026-11-25', minutes: 10 },
      { id: 'shots', day: '2026-11-24', minutes: 115 },
    ])
  })

  test('goes over a day only by what is due today, loses no minute, and keeps every need', () => {
    const one = fc.record({
      minutes: fc.integer({ min: 0, max: 400 }),
      due: fc.integer({ min: -5, max: 30 }),
      needs: fc.array(fc.nat({ max: 11 }), { maxLength: 3 }),
    })
    fc.assert(
      fc.property(fc.array(one, { maxLength: 12 }), (list) => {
        // As counted back: nothing is due after what needs it.
        const due = list.map((w) => w.due).sort((a, b) => a - b)
        const all = list.map((w, i) =>
          work(
            `w${i}`,
            w.minutes,
            addDays('2026-11-24', due[i] ?? 0),
            ...w.needs.filter((n) => n < i).map((n) => `w${n}`),
          ),
        )
        const load = lay(all, settings, '2026-11-24')
        for (const [day, minutes] of minutesByDay(load)) {
          if (minutes <= minutesOn(settings, day)) continue
          expect(day).toBe('2026-11-24')
          const dueLater = all.filter((w) => (w.due ?? '') > day).map((w) => w.id)
          expect(load.blocks.filter((b) => b.day === day && dueLater.includes(b.id))).toEqual([])
        }
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
