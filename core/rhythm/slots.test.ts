import fc from 'fast-check'
import { exampleEpisode, exampleNow, exampleShow, valueOf } from '../examples'
import { addDays } from './days'
import { ruleOf } from './rule'
import { displacedBy, filledSlots, openSlots, releaseOf, slotsOf } from './slots'
import { localAt } from './zone'
import { runs } from '../runs'

const zones = [
  'Europe/Lisbon',
  'America/New_York',
  'Australia/Lord_Howe',
  'Asia/Kathmandu',
  'Pacific/Apia',
  'Africa/Casablanca',
  'America/St_Johns',
  'UTC',
]

describe('slots', () => {
  test('come from the rhythm, moved and skipped ones keeping their identity', () => {
    const show = exampleShow({
      skipped: ['2026-12-03'],
      moved: { '2026-12-10': { day: '2026-12-11', time: '12:00' } },
    })
    const slots = slotsOf(show, '2026-11-26', '2026-12-17')
    expect(slots.map((s) => s.key)).toEqual([
      'show/2026-11-26',
      'show/2026-12-03',
      'show/2026-12-10',
      'show/2026-12-17',
    ])
    expect(slots.map((s) => s.skipped)).toEqual([false, true, false, false])
    expect(slots[2]).toMatchObject({
      original: '2026-12-10',
      day: '2026-12-11',
      time: '12:00',
      moved: true,
      at: Date.parse('2026-12-11T12:00:00Z'),
    })
  })

  test('a moved slot takes its place in the order of moments', () => {
    const show = exampleShow({ moved: { '2026-11-26': { day: '2026-12-05', time: '17:00' } } })
    expect(slotsOf(show, '2026-11-26', '2026-12-10').map((s) => s.original)).toEqual([
      '2026-12-03',
      '2026-11-26',
      '2026-12-10',
    ])
  })

  test('keep their local time for ten years in any zone', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...zones),
        fc.integer({ min: 0, max: 6 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 4, max: 23 }),
        (zone, day, every, hour) => {
          const time = `${String(hour).padStart(2, '0')}:30`
          const show = exampleShow({
            zone,
            rhythm: {
              rule: valueOf(ruleOf({ kind: 'week', every, weekdays: [day] })),
              start: '2026-11-23',
              time,
            },
          })
          for (const slot of slotsOf(show, '2026-11-23', '2036-11-23'))
            expect(localAt(slot.at, zone)).toEqual({ day: slot.original, time })
        },
      ),
      { numRuns: runs(16) },
    )
  })

  test('the open ones leave out what is filled, skipped or past', () => {
    const show = exampleShow({ skipped: ['2026-12-03'] })
    const placed = exampleEpisode({
      place: { kind: 'slot', day: '2026-11-26' },
      phase: { kind: 'work', since: '2026-11-20T09:00:00.000Z' },
    })
    expect(openSlots(show, [placed], exampleNow, 2).map((s) => s.day)).toEqual(['2026-12-10', '2026-12-17'])
    expect(openSlots(show, [], Date.parse('2026-11-26T17:00:01Z'), 1).map((s) => s.day)).toEqual([
      '2026-12-10',
    ])
  })

  test('open ones are found far ahead of a rhythm that begins late', () => {
    const show = exampleShow({
      rhythm: { rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH', start: '2027-06-03', time: '17:00' },
    })
    expect(openSlots(show, [], exampleNow, 1)[0]?.day).toBe('2027-06-03')
  })

  test('a dropped episode holds no slot', () => {
    const show = exampleShow()
    const dropped = exampleEpisode({
      place: { kind: 'slot', day: '2026-11-26' },
      phase: { kind: 'dropped', why: '' },
    })
    expect(filledSlots(show, [dropped]).size).toBe(0)
  })

  test('a release has the slot’s moment, its own, or the one it went out at', () => {
    const show = exampleShow()
    expect(releaseOf(exampleEpisode({ place: { kind: 'nothing' } }), show)).toBeUndefined()
    expect(
      releaseOf(exampleEpisode({ place: { kind: 'own', day: '2026-12-24', time: '08:00' } }), show),
    ).toEqual({ day: '2026-12-24', time: '08:00', at: Date.parse('2026-12-24T08:00:00Z') })
    expect(
      releaseOf(
        exampleEpisode({
          place: { kind: 'slot', day: '2026-11-26' },
          phase: { kind: 'released', at: '2026-11-26T18:30:00.000Z' },
        }),
        show,
      )?.at,
    ).toBe(Date.parse('2026-11-26T18:30:00Z'))
  })
})

describe('a change of rhythm', () => {
  test('hands back those whose slot vanishes, in order of release', () => {
    const show = exampleShow()
    const work = { kind: 'work' as const, since: '2026-11-01T09:00:00.000Z' }
    const on = (id: string, day: string) => exampleEpisode({ id, place: { kind: 'slot', day }, phase: work })
    const changed = exampleShow({
      rhythm: { rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TH', start: '2026-11-26', time: '17:00' },
    })
    const displaced = displacedBy(show, changed, [
      on('c', '2026-12-17'),
      on('a', '2026-11-26'),
      on('b', '2026-12-03'),
    ])
    expect(displaced.map((e) => e.id)).toEqual(['b', 'c'])
  })

  test('loses nobody: each placed episode keeps its slot or is handed back', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 20 }), { maxLength: 8 }),
        fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 }),
        fc.integer({ min: 1, max: 4 }),
        (weeks, weekdays, every) => {
          const show = exampleShow()
          const episodes = weeks.map((w) =>
            exampleEpisode({
              id: `e${w}`,
              place: { kind: 'slot', day: addDays('2026-11-26', w * 7) },
              phase: { kind: 'work', since: '2026-11-01T09:00:00.000Z' },
            }),
          )
          const changed = exampleShow({
            rhythm: {
              rule: valueOf(ruleOf({ kind: 'week', every, weekdays })),
              start: '2026-11-26',
              time: '17:00',
            },
          })
          const back = new Set(displacedBy(show, changed, episodes).map((e) => e.id))
          const kept = new Set(slotsOf(changed, '2026-11-26', '2027-06-01').map((s) => s.original))
          for (const e of episodes)
            if (e.place.kind === 'slot') expect(back.has(e.id)).toBe(!kept.has(e.place.day))
        },
      ),
    )
  })
})
