import fc from 'fast-check'
import {
  after,
  exampleAt,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleStep,
  valueOf,
} from '../examples'
import { keepSlots } from '../commands/schedule/keep-slots'
import { joinBlocks, splitBlock } from '../commands/week/split-block'
import { layEpisode } from '../commands/week/lay-episode'
import { moveLeftoversToToday } from '../commands/week/move-leftovers'
import { orderDay } from '../commands/week/order-day'
import { timeBlock } from '../commands/week/time-block'
import { readBusy } from '../formats/busy'
import type { Day, Episode, Launch, Records, Reservation, Show, StandingWork, Step } from '../records'
import { addDays, dayNumber, daysBetween, weekday } from '../rhythm/days'
import { honours, reservedSlots } from '../rhythm/reserve'
import { datesOf } from '../rhythm/rule'
import { slotsOf } from '../rhythm/slots'
import { launchStanding } from './launch'
import { layWork, planFor, minutesOn } from './load'
import { aheadOf, readyCurve } from './ready'
import { occurrencesOf, takenMinutes } from './standing'
import { runs } from '../runs'

/** Rules of the promise, the week and what is kept, that hold for all input. */
const context = exampleContext()
const today = '2026-11-24'
const records = exampleRecords()
const shown = records.shows.get('show')
if (!shown) throw new Error('no show')
const show: Show = shown
const no = new Map<string, Launch>()
const stamps = { createdAt: exampleAt, updatedAt: exampleAt }
const slots = slotsOf(show, '2026-12-01', '2027-02-28')
const sponsors = ['Kelpline Rope', 'Brightwork Varnish'] as const

describe('slots that are kept', () => {
  const deal: fc.Arbitrary<Reservation> = fc
    .record({
      perMonth: fc.integer({ min: 1, max: 6 }),
      name: fc.constantFrom(...sponsors),
      from: fc.constantFrom<Day>('2026-11-01', '2026-12-15', '2027-02-01'),
      to: fc.option(fc.constantFrom<Day>('2026-12-31', '2027-02-10'), { nil: undefined }),
      n: fc.nat(99),
    })
    .map(({ perMonth, name, from, to, n }) => ({
      id: `deal ${n} ${name}`,
      show: 'show',
      name,
      kind: 'sponsor',
      kept: { kind: 'deal', perMonth, from, ...(to === undefined ? {} : { to }) },
      note: '',
      ...stamps,
    }))
  const single: fc.Arbitrary<Reservation> = fc
    .record({
      day: fc.constantFrom(...slots.map((s) => s.original)),
      name: fc.constantFrom(...sponsors, 'Winter'),
    })
    .map(({ day, name }) => ({
      id: `one ${day}`,
      show: 'show',
      name,
      kind: name === 'Winter' ? 'season' : 'sponsor',
      kept: { kind: 'slot', day },
      note: '',
      ...stamps,
    }))
  const filled = fc
    .array(
      fc.record({
        at: fc.nat(slots.length - 1),
        sponsor: fc.option(fc.constantFrom(...sponsors), { nil: undefined }),
      }),
      { maxLength: 8 },
    )
    .map(
      (row) =>
        new Map(
          row.map(({ at, sponsor }): [Day, Episode] => [
            slots[at]?.original ?? '',
            exampleEpisode({ id: `e${at}`, ...(sponsor === undefined ? {} : { sponsor }) }),
          ]),
        ),
    )

  test('a deal keeps at most so many a month, within its dates, and never a slot that another has by itself', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(deal, { selector: (r) => r.name, maxLength: 2 }),
        fc.uniqueArray(single, { selector: (r) => r.id, maxLength: 5 }),
        filled,
        (deals, singles, on) => {
          const kept = reservedSlots(slots, [...singles, ...deals], (day) => on.get(day), no)
          for (const s of singles)
            if (s.kept.kind === 'slot') expect(kept.get(s.kept.day)?.reservation.id).toBe(s.id)
          for (const d of deals) {
            const { kept: terms } = d
            if (terms.kind !== 'deal') continue
            const mine = [...kept].filter(([, k]) => k.reservation.id === d.id).map(([day]) => day)
            for (const day of mine) {
              expect(day >= terms.from).toBe(true)
              if (terms.to !== undefined) expect(day <= terms.to).toBe(true)
            }
            for (const month of new Set(mine.map((m) => m.slice(0, 7))))
              expect(mine.filter((m) => m.startsWith(month)).length).toBeLessThanOrEqual(terms.perMonth)
          }
        },
      ),
      { numRuns: runs(120) },
    )
  })

  test('a deal takes an open slot before one with an episode that lacks the read, and none from an episode with another sponsor', () => {
    fc.assert(
      fc.property(deal, filled, (d, on) => {
        const kept = reservedSlots(slots, [d], (day) => on.get(day), no)
        for (const [day, { reservation }] of kept) {
          const episode = on.get(day)
          if (!episode || honours(reservation, episode, no)) continue
          expect(episode.sponsor).toBeUndefined()
          const { kept: terms } = d
          const open = slots.filter(
            (s) =>
              s.day.slice(0, 7) === day.slice(0, 7) &&
              !on.has(s.original) &&
              terms.kind === 'deal' &&
              s.day >= terms.from &&
              (terms.to === undefined || s.day <= terms.to),
          )
          for (const s of open) expect(kept.has(s.original)).toBe(true)
        }
      }),
      { numRuns: runs(120) },
    )
  })

  test('keeping the same slot again and again leaves one reservation on it, the last', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('A', 'B', 'C'), { minLength: 1, maxLength: 5 }), (names) => {
        const r = names.reduce<Records>(
          (all, name) =>
            after(
              all,
              keepSlots(
                all,
                { show: 'show', name, kind: 'other', kept: { kind: 'slot', day: '2026-12-10' }, note: '' },
                context,
              ),
            ),
          records,
        )
        expect([...r.reservations.values()].map((x) => x.name)).toEqual([names.at(-1)])
      }),
    )
  })
})

test('a launch lacks nothing exactly when enough episodes support it, all within its dates and none unlikely', () => {
  const supporter = fc.record({
    day: fc.option(
      fc.integer({ min: -10, max: 60 }).map((n) => addDays(today, n)),
      { nil: undefined },
    ),
    outlook: fc.constantFrom('on track' as const, 'tight' as const, undefined),
  })
  fc.assert(
    fc.property(
      fc.array(supporter, { maxLength: 4 }),
      fc.integer({ min: 0, max: 4 }),
      fc.integer({ min: 0, max: 30 }),
      (row, wanted, runUp) => {
        const launch: Launch = {
          id: 'l',
          name: 'Drawings',
          from: addDays(today, 30),
          to: addDays(today, 40),
          runUp,
          wanted,
          episodes: row.map((_, i) => `e${i}`),
          note: '',
          ...stamps,
        }
        const { missing, support, window } = launchStanding(
          launch,
          row.map((s, i) => ({
            episode: exampleEpisode({ id: `e${i}` }),
            title: '',
            number: `#${i}`,
            release: s.day,
            ready: false,
            outlook: s.outlook,
          })),
          [],
          today,
        )
        const ok = row.filter((s) => s.day !== undefined && s.day >= window.from && s.day <= window.to)
        expect(support).toBe(ok.length)
        expect(missing.length === 0).toBe(
          row.length >= wanted && ok.length === row.length && ok.every((s) => s.outlook !== 'tight'),
        )
      },
    ),
    { numRuns: runs(180) },
  )
})

describe('standing work', () => {
  const works: fc.Arbitrary<StandingWork[]> = fc
    .array(
      fc.record({
        minutes: fc.integer({ min: 5, max: 120 }),
        rule: fc.constantFrom(
          'FREQ=WEEKLY;INTERVAL=1;BYDAY=MO,FR',
          'FREQ=DAILY;INTERVAL=3',
          'FREQ=MONTHLY;INTERVAL=1;BYDAY=1WE',
        ),
        start: fc.integer({ min: -20, max: 20 }),
        skipped: fc.array(fc.integer({ min: -20, max: 40 }), { maxLength: 6 }),
      }),
      { maxLength: 4 },
    )
    .map((row) =>
      row.map((w, i): StandingWork => ({
        id: `s${i}`,
        name: `S${i}`,
        kind: 'admin',
        minutes: w.minutes,
        when: { kind: 'rule', rule: w.rule, start: addDays(today, w.start) },
        skipped: w.skipped.map((n) => addDays(today, n)),
        done: [],
        ...stamps,
      })),
    )

  test('falls on the dates of its rule from its start on, and takes what is not skipped', () => {
    fc.assert(
      fc.property(works, (all) => {
        const [from, to] = [addDays(today, -14), addDays(today, 40)]
        const row = occurrencesOf(all, from, to)
        for (const o of row) {
          const { when } = o.work
          expect(o.day >= from && o.day <= to).toBe(true)
          if (when.kind === 'rule') {
            expect(o.day >= when.start).toBe(true)
            expect(datesOf({ rule: when.rule, start: when.start, time: '09:00' }, o.day, o.day)).toEqual([
              o.day,
            ])
          }
        }
        expect(
          [...row].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)).map((o) => o.day),
        ).toEqual(row.map((o) => o.day))
        const taken = takenMinutes(all, [], from, to)
        expect([...taken.values()].reduce((a, b) => a + b, 0)).toBe(
          row.filter((o) => o.state !== 'skipped').reduce((sum, o) => sum + o.work.minutes, 0),
        )
      }),
      { numRuns: runs(72) },
    )
  })

  test('with it, work laid out stays within what is left of every day, and loses no minute', () => {
    fc.assert(
      fc.property(
        works,
        fc.array(fc.integer({ min: 15, max: 300 }), { minLength: 1, maxLength: 6 }),
        (all, minutes) => {
          const hours = {
            hours: [120, 120, 240, 120, 120, 0, 60],
            daysOff: [addDays(today, 2)],
            taken: takenMinutes(all, [], today, addDays(today, 200)),
          }
          const load = layWork(
            planFor(
              minutes.map((m, i) => ({
                id: `w${i}`,
                episode: `w${i}`,
                kind: 'edit',
                minutes: m,
                due: addDays(today, 5 + i),
                needs: [],
                split: true,
                weight: 1,
              })),
              [],
              hours,
              today,
            ),
          )
          const by = new Map<Day, number>()
          for (const b of load.blocks) by.set(b.day, (by.get(b.day) ?? 0) + b.minutes)
          for (const [day, used] of by) expect(used).toBeLessThanOrEqual(minutesOn(hours, day))
          expect(load.blocks.reduce((sum, b) => sum + b.minutes, 0)).toBe(minutes.reduce((a, b) => a + b, 0))
        },
      ),
      { numRuns: runs(72) },
    )
  })
})

test('busy time keeps its length, is split at midnight alone, and lies within the dates asked for', () => {
  const stamp = (ms: number) => new Date(ms).toISOString().replace(/[-:]/g, '').replace(/\.\d+/, '')
  const event = fc.record({
    start: fc.integer({ min: 0, max: 20 * 24 * 60 }),
    minutes: fc.integer({ min: 5, max: 3000 }),
  })
  fc.assert(
    fc.property(fc.array(event, { minLength: 1, maxLength: 5 }), (list) => {
      const zero = Date.parse('2026-11-25T00:00:00Z')
      const text = [
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'PRODID:-//x//x//EN',
        ...list.flatMap((e, i) => [
          'BEGIN:VEVENT',
          `UID:e${i}`,
          `SUMMARY:E${i}`,
          `DTSTART:${stamp(zero + e.start * 60_000)}`,
          `DTEND:${stamp(zero + (e.start + e.minutes) * 60_000)}`,
          'END:VEVENT',
        ]),
        'END:VCALENDAR',
        '',
      ].join('\r\n')
      // Lisbon keeps universal time in winter, so that the minutes can be counted by hand.
      const { events } = valueOf(readBusy(text, 'Europe/Lisbon', '2026-11-25', '2026-12-31'))
      list.forEach((e, i) => {
        const mine = events.filter((x) => x.uid === `e${i}`)
        expect(mine.reduce((sum, x) => sum + x.minutes, 0)).toBe(e.minutes)
        mine.forEach((x, n) => {
          const first = x.at === undefined ? 0 : Number(x.at.slice(0, 2)) * 60 + Number(x.at.slice(3))
          expect(first + x.minutes).toBeLessThanOrEqual(1440)
          if (n > 0) expect([x.at, daysBetween(mine[n - 1]?.day ?? '', x.day)]).toEqual(['00:00', 1])
        })
      })
    }),
    { numRuns: runs(60) },
  )
})

describe('the week', () => {
  const of = (steps: readonly Step[]): Records => ({
    ...records,
    episodes: new Map([['episode', exampleEpisode({ phase: { kind: 'work', since: exampleAt } })]]),
    steps: new Map(steps.map((s) => [s.id, s])),
  })
  const total = (s: Step | undefined) =>
    (s?.blocks ?? []).filter((b) => b.day >= today).reduce((sum, b) => sum + b.minutes, 0)

  test('a whole episode laid on a week never goes over a day, keeps its needs, and lays each step whole or not at all', () => {
    const step = fc.record({
      minutes: fc.integer({ min: 15, max: 240 }),
      needs: fc.array(fc.nat(5), { maxLength: 2 }),
      film: fc.boolean(),
    })
    let tried = 0
    fc.assert(
      fc.property(
        fc.array(step, { minLength: 1, maxLength: 6 }),
        fc.array(fc.constantFrom(0, 60, 120, 240), { minLength: 7, maxLength: 7 }),
        (list, hours) => {
          const steps = list.map((s, i) =>
            exampleStep({
              id: `s${i}`,
              order: i,
              minutes: s.minutes,
              kind: s.film ? 'film' : 'write',
              needs: [...new Set(s.needs.filter((n) => n < i).map((n) => `s${n}`))],
            }),
          )
          const r = of(steps)
          const asked = { hours, daysOff: [] }
          const done = layEpisode(r, { episode: 'episode', monday: '2026-11-23', hours: asked }, context)
          if (!done.ok) return
          tried++
          const next = after(r, done)
          const setup = next.settings.get('settings')?.setup ?? {}
          for (let n = 0; n < 7; n++) {
            const day = addDays('2026-11-23', n)
            const here = [...next.steps.values()].flatMap((s) =>
              s.blocks.filter((b) => b.day === day).map((b) => ({ s, b })),
            )
            const cost = [...new Set(here.map((x) => x.s.kind))].reduce((sum, k) => sum + (setup[k] ?? 0), 0)
            expect(
              here.reduce((sum, x) => sum + x.b.minutes, 0) + (here.length > 0 ? cost : 0),
            ).toBeLessThanOrEqual(day < today ? 0 : (hours[weekday(day)] ?? 0))
          }
          for (const s of next.steps.values()) {
            expect([0, s.minutes]).toContain(total(s))
            const begins = s.blocks.map((b) => b.day).sort()[0]
            for (const need of s.needs)
              if (begins !== undefined)
                expect((next.steps.get(need)?.blocks ?? []).every((b) => b.day <= begins)).toBe(true)
          }
        },
      ),
      { numRuns: runs(90) },
    )
    expect(tried).toBeGreaterThan(50)
  })

  test('splitting, joining, timing, ordering and bringing over lose no minute of what was laid', () => {
    const deeds = ['split', 'join', 'time', 'order', 'left'] as const
    const act = fc.record({ do: fc.constantFrom(...deeds), n: fc.nat(6) })
    const tried = new Set<string>()
    fc.assert(
      fc.property(fc.array(act, { minLength: 1, maxLength: 8 }), (acts) => {
        let r = of([
          exampleStep({
            id: 'a',
            minutes: 240,
            blocks: [
              { day: '2026-11-23', minutes: 60, pinned: true },
              { day: '2026-11-25', minutes: 180, pinned: true },
            ],
          }),
          exampleStep({ id: 'b', minutes: 90, blocks: [{ day: '2026-11-25', minutes: 90, pinned: false }] }),
        ])
        let brought = 0
        const before = () => total(r.steps.get('a')) + total(r.steps.get('b'))
        const first = before()
        for (const { do: what, n } of acts) {
          const block = r.steps.get('a')?.blocks.filter((b) => b.day >= today)[0]
          if (!block) continue
          const done =
            what === 'split'
              ? splitBlock(
                  r,
                  { step: 'a', day: block.day, minutes: block.minutes, to: addDays(today, n) },
                  context,
                )
              : what === 'join'
                ? joinBlocks(r, { step: 'a', day: block.day }, context)
                : what === 'time'
                  ? timeBlock(
                      r,
                      {
                        step: 'a',
                        day: block.day,
                        minutes: block.minutes,
                        at: n % 2 === 0 ? '15:00' : undefined,
                      },
                      context,
                    )
                  : what === 'order'
                    ? orderDay(r, { day: block.day, row: [{ step: 'a', minutes: block.minutes }] }, context)
                    : moveLeftoversToToday(r, { steps: ['a', 'b'] }, context)
          if (!done.ok) continue
          tried.add(what)
          if (what === 'left') brought = 60
          r = after(r, done)
          for (const s of r.steps.values()) {
            expect(new Set(s.blocks.map((b) => b.day)).size).toBe(s.blocks.length)
            expect(
              [...s.blocks].sort((x, y) => dayNumber(x.day) - dayNumber(y.day)).map((b) => b.day),
            ).toEqual(s.blocks.map((b) => b.day))
          }
        }
        expect(before()).toBe(first + brought)
      }),
      { numRuns: runs(90) },
    )
    expect([...tried].sort()).toEqual([...deeds].sort())
  })
})

test('ready ahead: the run is never longer than the slots, never breaks before its run ends, and the curve at now agrees with it', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ ready: fc.boolean(), live: fc.boolean() }), { maxLength: 6 }),
      fc.nat(3),
      (row, spares) => {
        const next = row.map((r, i) => ({ day: addDays(today, 2 + 7 * i), ...r }))
        const ahead = aheadOf(
          next,
          Array.from({ length: spares }, () => ({ ready: true })),
          today,
        )
        const counted = next.filter((s) => !s.live)
        expect(ahead.run).toBeLessThanOrEqual(counted.length)
        if (ahead.breaks !== undefined)
          expect(counted.findIndex((s) => s.day === ahead.breaks)).toBeGreaterThanOrEqual(ahead.run)
        expect(ahead.used).toBeLessThanOrEqual(spares)
        expect(
          readyCurve(
            counted.map((s) => ({ out: dayNumber(s.day), ready: s.ready ? 0 : undefined })),
            [dayNumber(today)],
          ),
        ).toEqual([ahead.run])
      },
    ),
    { numRuns: runs(120) },
  )
})
