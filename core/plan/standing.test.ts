import {
  after,
  exampleAt,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleStep,
  refusalOf,
  valueOf,
} from '../examples'
import { markStanding } from '../commands/standing/mark-standing'
import { putStanding, removeStanding } from '../commands/standing/put-standing'
import { takeBusy, dropBusy } from '../commands/standing/busy'
import { joinBlocks } from '../commands/week/split-block'
import { layEpisode } from '../commands/week/lay-episode'
import { moreOnDays } from '../commands/week/set-days'
import { orderDay } from '../commands/week/order-day'
import { timeBlock } from '../commands/week/time-block'
import { readBusy } from '../formats/busy'
import type { Records, StandingWork, Step } from '../records'
import { lostOf } from './accuracy'
import { layWork, planFor, minutesOn } from './load'
import { remindersOf } from './reminders'
import { occurrencesOf, takenMinutes } from './standing'

const context = exampleContext()
const records = exampleRecords([exampleEpisode()])
const letters: StandingWork = {
  id: 'letters',
  name: 'Letters',
  kind: 'admin',
  minutes: 30,
  when: { kind: 'rule', rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=MO,FR', start: '2026-11-20' },
  skipped: [],
  done: [],
  createdAt: exampleAt,
  updatedAt: exampleAt,
}

describe('standing work', () => {
  test('recurs, is skipped this once, is done; once is once', () => {
    const r = after(
      records,
      putStanding(
        records,
        { name: 'Letters', kind: 'admin', minutes: 30, when: letters.when },
        { ...context, id: () => 'letters' },
      ),
    )
    const days = (of: Records) =>
      occurrencesOf(of.standing.values(), '2026-11-20', '2026-11-30').map(
        (o) => `${o.day.slice(8)} ${o.state}`,
      )
    expect(days(r)).toEqual(['20 to do', '23 to do', '27 to do', '30 to do'])
    const skipped = after(
      r,
      markStanding(r, { standing: 'letters', day: '2026-11-27', as: 'skipped' }, context),
    )
    const done = after(
      skipped,
      markStanding(skipped, { standing: 'letters', day: '2026-11-23', as: 'done' }, context),
    )
    expect(days(done)).toEqual(['20 to do', '23 done', '27 skipped', '30 to do'])
    expect(
      days(
        after(done, markStanding(done, { standing: 'letters', day: '2026-11-27', as: 'to do' }, context)),
      )[2],
    ).toBe('27 to do')
    expect(days(after(done, removeStanding(done, { standing: 'letters' }, context)))).toEqual([])
    expect(
      occurrencesOf([{ ...letters, when: { kind: 'once', day: '2026-11-25' } }], '2026-11-20', '2026-11-30'),
    ).toHaveLength(1)
    expect(
      refusalOf(putStanding(records, { name: '', kind: 'admin', minutes: 30, when: letters.when }, context)),
    ).toMatch(/needs a name/)
  })

  test('takes its place in the hours of its day; skipped it takes none', () => {
    const hours = {
      hours: [120, 120, 120, 120, 120, 0, 0],
      daysOff: [],
      taken: takenMinutes(
        [{ ...letters, skipped: ['2026-11-30'] }],
        [
          {
            id: 'b',
            uid: 'u',
            name: 'Dentist',
            day: '2026-11-25',
            minutes: 200,
            createdAt: exampleAt,
            updatedAt: exampleAt,
          },
        ],
        '2026-11-20',
        '2026-12-31',
      ),
    }
    expect(['2026-11-25', '2026-11-26', '2026-11-27', '2026-11-30'].map((d) => minutesOn(hours, d))).toEqual([
      0, 120, 90, 120,
    ])
    // Work laid out keeps within what is left.
    const load = layWork(
      planFor(
        [
          {
            id: 'a',
            episode: 'e',
            kind: 'edit',
            minutes: 300,
            due: '2026-12-10',
            needs: [],
            split: true,
            weight: 1,
          },
        ],
        [],
        hours,
        '2026-11-25',
      ),
    )
    expect(load.blocks.map(({ id, day, minutes }) => ({ id, day, minutes }))).toEqual([
      { id: 'a', day: '2026-11-26', minutes: 120 },
      { id: 'a', day: '2026-11-27', minutes: 90 },
      { id: 'a', day: '2026-11-30', minutes: 90 },
    ])
  })
})

describe('busy time from a calendar', () => {
  const event = (lines: string) => `BEGIN:VEVENT\r\n${lines.replaceAll('\n', '\r\n')}\r\nEND:VEVENT\r\n`
  const calendar = (...events: string[]) =>
    `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\n${events.join('')}END:VCALENDAR\r\n`
  const read = (text: string) => valueOf(readBusy(text, 'Europe/Lisbon', '2026-11-24', '2026-12-31'))

  test('a date without a time is a whole day, and a moved time counts once, also when it is written in UTC', () => {
    expect(
      read(calendar(event('UID:a\nSUMMARY:Off\nDTSTART:20261126\nDTEND:20261127'))).events.map((e) => [
        e.day,
        e.minutes,
      ]),
    ).toEqual([['2026-11-26', 1440]])
    const series = event(
      'UID:b\nSUMMARY:Tide\nDTSTART;TZID=Europe/Lisbon:20261124T100000\nDTEND;TZID=Europe/Lisbon:20261124T110000\nRRULE:FREQ=DAILY;COUNT=3',
    )
    const moved = event(
      'UID:b\nSUMMARY:Tide\nRECURRENCE-ID:20261125T100000Z\nDTSTART:20261125T150000Z\nDTEND:20261125T160000Z',
    )
    expect(read(calendar(series, moved)).events.map((e) => `${e.day} ${e.at ?? ''}`)).toEqual([
      '2026-11-24 10:00',
      '2026-11-25 15:00',
      '2026-11-26 10:00',
    ])
  })

  test('a zone that nobody knows is said, one that everybody knows is read by its own rules', () => {
    const at = (zone: string) =>
      read(
        calendar(
          event(
            `UID:c\nSUMMARY:Call\nDTSTART;TZID=${zone}:20261124T100000\nDTEND;TZID=${zone}:20261124T110000`,
          ),
        ),
      )
    expect(at('America/Chicago').events.map((e) => e.at)).toEqual(['16:00'])
    expect(at('Harbour Time')).toMatchObject({
      events: [],
      left: [{ name: 'Call', why: 'in the time zone “Harbour Time”, which is not known' }],
    })
  })

  test('a long hourly series is read to these weeks', () => {
    const hourly = event(
      'UID:d\nSUMMARY:Bell\nDTSTART:20221101T000000Z\nDTEND:20221101T000500Z\nRRULE:FREQ=HOURLY;INTERVAL=3',
    )
    expect(read(calendar(hourly)).events.some((e) => e.day === '2026-12-24')).toBe(true)
  })

  test('is expanded, split at midnight, and left out where it is free or cancelled', () => {
    const { events, left } = read(
      calendar(
        event(
          'UID:a\nSUMMARY:Choir\nDTSTART:20261125T190000Z\nDTEND:20261125T203000Z\nRRULE:FREQ=WEEKLY;COUNT=3',
        ),
        event('UID:b\nSUMMARY:Night train\nDTSTART:20261127T220000Z\nDTEND:20261128T060000Z'),
        event('UID:c\nSUMMARY:Holiday\nDTSTART;VALUE=DATE:20261208\nDTEND;VALUE=DATE:20261209'),
        event('UID:d\nSUMMARY:Maybe\nDTSTART:20261201T100000Z\nDTEND:20261201T110000Z\nTRANSP:TRANSPARENT'),
        event('UID:e\nSUMMARY:Off\nDTSTART:20261201T100000Z\nDTEND:20261201T110000Z\nSTATUS:CANCELLED'),
        event('UID:f\nSUMMARY:Long ago\nDTSTART:20250101T100000Z\nDTEND:20250101T110000Z'),
      ),
    )
    expect(events.map((e) => `${e.name} ${e.day.slice(5)} ${e.at ?? ''} ${e.minutes}`)).toEqual([
      'Choir 11-25 19:00 90',
      'Night train 11-27 22:00 120',
      'Night train 11-28 00:00 360',
      'Choir 12-02 19:00 90',
      'Holiday 12-08  1440',
      'Choir 12-09 19:00 90',
    ])
    expect(left).toEqual([
      { name: 'Maybe', why: 'marked as free' },
      { name: 'Off', why: 'cancelled' },
      { name: 'Long ago', why: 'not in these weeks' },
    ])
  })

  test('keeps its clock time in the creator’s zone, and a moved occurrence is moved', () => {
    const zone =
      'BEGIN:VTIMEZONE\r\nTZID:Made/East\r\nBEGIN:STANDARD\r\nDTSTART:19700101T000000\r\nTZOFFSETFROM:+0200\r\nTZOFFSETTO:+0200\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\n'
    const { events } = read(
      calendar(
        zone,
        event(
          'UID:a\nSUMMARY:Call\nDTSTART;TZID=Made/East:20261126T120000\nDURATION:PT45M\nRRULE:FREQ=DAILY;COUNT=2',
        ),
        event(
          'UID:a\nSUMMARY:Call\nRECURRENCE-ID;TZID=Made/East:20261127T120000\nDTSTART;TZID=Made/East:20261127T160000\nDURATION:PT45M',
        ),
      ),
    )
    expect(events.map((e) => `${e.day} ${e.at ?? ''}`)).toEqual(['2026-11-26 10:00', '2026-11-27 14:00'])
  })

  test('what is no calendar is refused with the way out', () => {
    expect(refusalOf(readBusy('Dear all', 'Europe/Lisbon', '2026-11-24', '2026-12-31'))).toMatch(
      /not a calendar file.*ends in \.ics/,
    )
  })

  test('taken again it is updated and not doubled; what has gone goes', () => {
    const first = read(
      calendar(
        event(
          'UID:a\nSUMMARY:Choir\nDTSTART:20261125T190000Z\nDTEND:20261125T203000Z\nRRULE:FREQ=WEEKLY;COUNT=3',
        ),
      ),
    )
    const taken = after(records, takeBusy(records, first, context))
    expect(taken.busy.size).toBe(3)
    expect(refusalOf(takeBusy(taken, first, context))).toMatch(/there already/)
    const shorter = read(
      calendar(
        event(
          'UID:a\nSUMMARY:Choir\nDTSTART:20261125T190000Z\nDTEND:20261125T200000Z\nRRULE:FREQ=WEEKLY;COUNT=2',
        ),
      ),
    )
    const again = after(taken, takeBusy(taken, shorter, context))
    expect([...again.busy.values()].map((b) => b.minutes)).toEqual([60, 60])
    expect(after(again, dropBusy(again, {}, context)).busy.size).toBe(0)
  })
})

describe('the week', () => {
  const step = (id: string, fields: Partial<Step> = {}) => exampleStep({ id, minutes: 120, ...fields })
  const of = (...steps: Step[]): Records => ({
    ...records,
    episodes: new Map([['episode', exampleEpisode({ phase: { kind: 'work', since: exampleAt } })]]),
    steps: new Map(steps.map((s) => [s.id, s])),
  })
  const blocks = (r: Records, id: string) =>
    r.steps.get(id)?.blocks.map((b) => `${b.day.slice(8)} ${b.minutes}${b.at ? ` ${b.at}` : ''}`)

  test('pieces are joined on a day, and a block has a clock time', () => {
    const r = of(
      step('a', {
        blocks: [
          { day: '2026-11-20', minutes: 30, pinned: true },
          { day: '2026-11-25', minutes: 60, pinned: true },
          { day: '2026-11-27', minutes: 30, pinned: false },
        ],
      }),
    )
    const joined = after(r, joinBlocks(r, { step: 'a', day: '2026-11-27' }, context))
    expect(blocks(joined, 'a')).toEqual(['20 30', '27 90'])
    expect(refusalOf(joinBlocks(joined, { step: 'a', day: '2026-11-27' }, context))).toMatch(
      /one piece already/,
    )
    const timed = after(
      joined,
      timeBlock(joined, { step: 'a', day: '2026-11-27', minutes: 90, at: '15:00' }, context),
    )
    expect(blocks(timed, 'a')).toEqual(['20 30', '27 90 15:00'])
    expect(
      blocks(
        after(timed, timeBlock(timed, { step: 'a', day: '2026-11-27', minutes: 90, at: undefined }, context)),
        'a',
      ),
    ).toEqual(['20 30', '27 90'])
  })

  test('an order within a day lays what only the plan had there', () => {
    const r = of(step('a', { blocks: [{ day: '2026-11-25', minutes: 60, pinned: true }] }), step('b'))
    const row = [
      { step: 'b', minutes: 45 },
      { step: 'a', minutes: 60 },
    ]
    const next = after(r, orderDay(r, { day: '2026-11-25', row }, context))
    expect([next.steps.get('b')?.blocks, next.steps.get('a')?.blocks[0]?.place]).toEqual([
      [{ day: '2026-11-25', minutes: 45, pinned: false, place: 0 }],
      1,
    ])
    expect(refusalOf(orderDay(next, { day: '2026-11-25', row }, context))).toMatch(/this order already/)
  })

  test('a whole episode goes onto a week: needs first, within the hours, around what is laid; what finds no room is said', () => {
    const r = {
      ...of(
        step('a', { order: 0 }),
        step('b', { order: 1, needs: ['a'] }),
        step('c', { order: 2, minutes: 400, needs: ['b'] }),
      ),
      settings: records.settings,
    }
    const hours = { hours: [120, 120, 120, 120, 120, 0, 0], daysOff: ['2026-11-26'] }
    const done = valueOf(layEpisode(r, { episode: 'episode', monday: '2026-11-23', hours }, context))
    expect(done.sentence).toMatch(/^Laid “Steaming oak ribs” on the week of Mon 23 Nov; 1 step finds no room/)
    const next = after(r, { ok: true, value: done })
    expect([blocks(next, 'a'), blocks(next, 'b'), blocks(next, 'c')]).toEqual([['24 120'], ['25 120'], []])
    expect(refusalOf(layEpisode(r, { episode: 'episode', monday: '2026-11-16', hours }, context))).toMatch(
      /has passed/,
    )
    expect(
      refusalOf(
        layEpisode(
          r,
          {
            episode: 'episode',
            monday: '2026-11-23',
            hours: { hours: [0, 0, 0, 0, 0, 0, 0], daysOff: [] },
          },
          context,
        ),
      ),
    ).toMatch(/Nothing of .* fits/)
  })
})

test('days are given more minutes at once, from what each has, in one step', () => {
  const r = {
    ...records,
    settings: new Map(
      [...records.settings].map(([id, s]) => [id, { ...s, exceptions: { '2026-11-27': 1400 } }]),
    ),
  }
  const done = valueOf(
    moreOnDays(r, { days: ['2026-11-25', '2026-11-27', '2026-11-28'], minutes: 90 }, context),
  )
  expect(done.changes).toHaveLength(1)
  expect(after(r, { ok: true, value: done }).settings.get('settings')?.exceptions).toEqual({
    '2026-11-25': 210,
    '2026-11-27': 1440,
    '2026-11-28': 90,
  })
  expect(refusalOf(moreOnDays(r, { days: [], minutes: 90 }, context))).toMatch(/Choose a day/)
})

test('the share of lost days is learnt from planned against done, the prior mixed in', () => {
  const block = (day: string) => ({ day, minutes: 60, pinned: true })
  const none = lostOf([], undefined, '2026-11-24')
  expect(none).toEqual({ share: 0.04, lost: 0, seen: 0 })
  const steps = [
    exampleStep({
      id: 'a',
      blocks: [block('2026-11-18'), block('2026-11-19')],
      worked: { '2026-11-18': 50 },
    }),
    exampleStep({
      id: 'b',
      blocks: [block('2026-11-20'), block('2026-11-25')],
      doneAt: '2026-11-20T19:00:00.000Z',
    }),
  ]
  expect(lostOf(steps, undefined, '2026-11-24')).toEqual({ share: (25 * 0.04 + 1) / 28, lost: 1, seen: 3 })
  // A day that was declared lost counts; one to come does not.
  expect(
    lostOf(
      steps,
      { hours: [], exceptions: { '2026-11-17': 0, '2026-11-30': 0, '2026-11-16': 240 } },
      '2026-11-24',
    ),
  ).toMatchObject({ lost: 2, seen: 4 })
})

test('reminders: a release within a day that isn’t ready, one whose moment came, a clock time, a nudge; each by its own key', () => {
  const now = Date.parse('2026-11-24T09:00:00Z')
  const hour = 3_600_000
  const release = (id: string, at: number, ready = false) => ({
    id,
    number: `#${id}`,
    title: 'Ribs',
    at,
    time: '17:00',
    ready,
    missing: 2,
  })
  const list = remindersOf({
    now,
    today: '2026-11-24',
    releases: [
      release('1', now + 8 * hour),
      release('2', now + 8 * hour, true),
      release('3', now + 30 * hour),
      release('4', now - hour),
      release('5', now - 20 * hour),
    ],
    times: [
      { id: 's', name: 'Record the talk', about: 'HH 20', at: now + 20 * 60_000, time: '09:20' },
      { id: 't', name: 'Later', about: '', at: now + 2 * hour, time: '11:00' },
    ],
    waiting: [
      { id: 'w', who: 'Ines Varga', what: 'a portrait', about: 'HH 19', since: '2026-11-19', after: 4 },
      { id: 'x', who: 'Tomas Ek', what: 'the mix', about: 'HH 20', since: '2026-11-23', after: 4 },
    ],
  })
  expect(list.map((r) => r.title)).toEqual([
    '#1 goes out in 8 h',
    'Is #4 out?',
    '09:20: Record the talk',
    'A nudge to Ines Varga?',
  ])
  expect(new Set(list.map((r) => r.key)).size).toBe(4)
})
