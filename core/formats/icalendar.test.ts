import ICAL from 'ical.js'
import { exampleAt, exampleEpisode, exampleNow, exampleRecords, valueOf } from '../examples'
import { calendarEntries } from '../plan/calendar'
import { stepsToAdd } from '../recipe/apply'
import { workingDays } from '../recipe/due'
import { progressOf } from '../recipe/lamps'
import { readBusy } from './busy'
import { icalendar } from './icalendar'

const records = exampleRecords()
const show = records.shows.get('show')
const recipe = records.recipes.get('recipe')
if (!show || !recipe) throw new Error('no example')
const episode = exampleEpisode({
  phase: { kind: 'work', since: exampleAt },
  place: { kind: 'slot', day: '2026-12-10' },
})
const standing = progressOf({
  episode,
  show,
  recipe,
  script: undefined,
  outlets: [],
  steps: stepsToAdd(recipe, 'episode', [], exampleAt),
  today: '2026-11-24',
  works: workingDays({ hours: [60, 60, 60, 60, 60, 60, 60], daysOff: [] }),
})
const entries = calendarEntries([
  {
    id: 'episode',
    title: 'Ribs; bent, cold\\n and a very long title that has to be folded over several lines of the file',
    number: '#42',
    show,
    standing,
  },
])
const text = icalendar(entries, 'Lamp Reel', exampleNow)
const events = new ICAL.Component(ICAL.parse(text))
  .getAllSubcomponents('vevent')
  .map((e) => new ICAL.Event(e))

describe('a calendar file', () => {
  test('has the release at its moment and open steps as whole days', () => {
    expect(events).toHaveLength(4)
    expect(events[0]?.startDate.toJSDate().toISOString()).toBe('2026-12-10T17:00:00.000Z')
    expect(events.slice(1).map((e) => e.startDate.toString())).toEqual([
      '2026-12-03',
      '2026-12-06',
      '2026-12-09',
    ])
    expect(events[1]?.endDate.toString()).toBe('2026-12-04')
  })

  test('keeps text with commas, semicolons and backslashes whole', () => {
    expect(events[0]?.summary).toContain('Ribs; bent, cold\\n and a very long title')
  })

  test('folds lines at 75 octets and ends them with CRLF', () => {
    const lines = text.split('\r\n')
    expect(lines.at(-1)).toBe('')
    expect(lines.every((l) => new TextEncoder().encode(l).length <= 75)).toBe(true)
    for (const summary of ['a'.repeat(300), 'ä'.repeat(300), '木'.repeat(200), 'a\u0007b\u0000c']) {
      const file = icalendar(
        [{ kind: 'due', uid: 'u', day: '2026-11-30', summary, description: '' }],
        'x',
        exampleNow,
      )
      expect(
        Math.max(...file.split('\r\n').map((l) => new TextEncoder().encode(l).length)),
      ).toBeLessThanOrEqual(75)
      const [event] = new ICAL.Component(ICAL.parse(file)).getAllSubcomponents('vevent')
      expect(event && new ICAL.Event(event).summary).toBe(summary.replace(/[\u0000-\u0007]/g, ''))
    }
  })

  test('a second file has the same identities', () => {
    const again = new ICAL.Component(ICAL.parse(icalendar(entries, 'Lamp Reel', exampleNow + 1000)))
      .getAllSubcomponents('vevent')
      .map((e) => new ICAL.Event(e).uid)
    expect(again).toEqual(events.map((e) => e.uid))
    expect(new Set(again).size).toBe(4)
  })

  test('a release has an alarm a day before; work laid on days stands there, under an identity that does not know its day', () => {
    const step = standing.steps[0]?.step.id ?? ''
    const laid = calendarEntries(
      [{ id: 'episode', title: 'Ribs', number: '#42', show, standing }],
      [
        { id: step, day: '2026-11-30', minutes: 90 },
        { id: 'elsewhere', day: '2026-11-30', minutes: 5 },
      ],
    )
    const all = new ICAL.Component(ICAL.parse(icalendar(laid, 'Lamp Reel', exampleNow))).getAllSubcomponents(
      'vevent',
    )
    expect(all[0]?.getFirstSubcomponent('valarm')?.getFirstPropertyValue('trigger')?.toString()).toBe('-P1D')
    const work = all.map((e) => new ICAL.Event(e)).filter((e) => e.summary.startsWith('1 h 30'))
    expect(work.map((e) => [e.startDate.toString(), e.uid])).toEqual([
      ['2026-11-30', 'work-episode-script@lamp-reel.invalid'],
    ])
    const moved = calendarEntries(
      [{ id: 'episode', title: 'Ribs', number: '#42', show, standing }],
      [
        { id: step, day: '2026-12-02', minutes: 30 },
        { id: step, day: '2026-12-01', minutes: 60 },
        { id: step, day: '2026-12-01', minutes: 15 },
      ],
    ).flatMap((e) => (e.kind === 'work' ? [[e.uid, e.day, e.summary.slice(0, 6)]] : []))
    expect(moved).toEqual([
      ['work-episode-script@lamp-reel.invalid', '2026-12-01', '1 h 15'],
      ['work-episode-script-2@lamp-reel.invalid', '2026-12-02', '30 min'],
    ])
  })

  test('an episode without a release, and steps that are done, are not in it', () => {
    expect(
      calendarEntries([
        { id: 'x', title: 'x', number: '', show, standing: { ...standing, release: undefined } },
      ]),
    ).toEqual([])
    expect(
      calendarEntries([
        {
          id: 'x',
          title: 'x',
          number: '',
          show,
          standing: { ...standing, steps: standing.steps.map((s) => ({ ...s, done: true, left: false })) },
        },
      ]),
    ).toHaveLength(1)
  })

  test('work with a clock time stands at it, with an alarm before; due dates remind in the morning', () => {
    const steps = stepsToAdd(recipe, 'episode', [], exampleAt).map((s) =>
      s.line === 'film'
        ? { ...s, blocks: [{ day: '2026-12-02', minutes: 90, pinned: true, at: '15:00' }] }
        : s,
    )
    const timedEntries = calendarEntries(
      [
        {
          id: 'episode',
          title: 'Ribs',
          number: '#42',
          show,
          standing: {
            ...standing,
            steps: standing.steps.map((s) => ({
              ...s,
              step: steps.find((x) => x.id === s.step.id) ?? s.step,
            })),
          },
        },
      ],
      [
        { id: 'episode/film', day: '2026-12-02', minutes: 90 },
        { id: 'episode/script', day: '2026-12-01', minutes: 60 },
      ],
    )
    const made = new ICAL.Component(
      ICAL.parse(icalendar(timedEntries, 'Lamp Reel', exampleNow)),
    ).getAllSubcomponents('vevent')
    const of = (summary: RegExp) => made.find((e) => summary.test(new ICAL.Event(e).summary))
    const timed = of(/^Film, #42$/)
    expect([
      timed && new ICAL.Event(timed).startDate.toJSDate().toISOString(),
      timed && new ICAL.Event(timed).duration.toString(),
    ]).toEqual(['2026-12-02T15:00:00.000Z', 'PT1H30M'])
    const trigger = (e: ICAL.Component | undefined) =>
      String(e?.getFirstSubcomponent('valarm')?.getFirstPropertyValue('trigger'))
    expect([
      trigger(timed),
      trigger(of(/^Write: #42/)),
      trigger(of(/^1 h: Write/)),
      trigger(of(/goes out/)),
    ]).toEqual(['-PT15M', 'PT9H', 'undefined', '-P1D'])
    // Read back as busy time it takes nothing: it is the creator's own work.
    expect(
      valueOf(
        readBusy(
          icalendar(timedEntries, 'Lamp Reel', exampleNow),
          'Europe/Lisbon',
          '2026-11-24',
          '2026-12-31',
        ),
      ).events,
    ).toEqual([])
  })
})
