import { after, exampleContext, exampleEpisode, refusalOf } from '@core/examples'
import { markReleased } from '@core/commands/release'
import { keepSlots, placeOnSlot, skipSlot } from '@core/commands/schedule'
import { editShow } from '@core/commands/shows'
import type { Records } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { exampleWorld } from '@core/views/example-cards'
import { useCards } from './cards'
import { useDesk } from './desk'
import { exampleDesk } from './example-desk'
import { useForms } from './forms'
import { useImportance } from './importance'
import { usePromises } from './promises'
import { useSchedule } from './schedule'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

const context = exampleContext()
const showOf = (records: Records) => {
  const show = records.shows.get('show')
  if (!show) throw new Error('no show')
  return show
}

describe('the schedule', () => {
  test('has a row for each release and each open slot, in order; no slot twice', () => {
    exampleDesk(exampleWorld())
    const { rows } = useSchedule()
    expect(rows.slice(0, 4).map((r) => [r.day, r.card?.title ?? 'open'])).toEqual([
      ['2026-11-26', 'Ribs'],
      ['2026-12-03', 'Keel'],
      ['2026-12-10', 'open'],
      ['2026-12-17', 'open'],
    ])
    expect(new Set(rows.map((r) => r.day)).size).toBe(rows.length)
    expect([...rows].sort((a, b) => a.at - b.at)).toEqual(rows)
  })

  test('numbers open slots on from what stands before them', () => {
    exampleDesk(exampleWorld())
    const { rows } = useSchedule()
    const cards = useCards()
    expect(cards.placed.map((c) => c.number)).toEqual(['#1', '#2'])
    expect(rows.filter((r) => r.slot).map((r) => r.number)).toEqual(
      rows.filter((r) => r.slot).map((_, i) => i + 3),
    )
  })

  test('offers no slot that is taken, skipped or over', () => {
    const world = exampleWorld()
    const records = after(world, skipSlot(world, { show: 'show', day: '2026-12-10', skip: true }, context))
    const desk = exampleDesk(records)
    const schedule = useSchedule()
    const open = () => schedule.openOf(showOf(records), 2).map((s) => s.day)
    expect(open()).toEqual(['2026-12-17', '2026-12-24'])
    desk.see(after(records, placeOnSlot(records, { episode: 'e2', day: '2026-12-17' }, context)))
    expect(open()).toEqual(['2026-12-24', '2026-12-31'])
    expect(schedule.rows.find((r) => r.day === '2026-12-17')?.card?.title).toBe('Spar')
    desk.moment.now = Date.parse('2026-12-25T12:00:00Z')
    expect(open()[0]).toBe('2026-12-31')
  })

  test('a slot whose episode went out early is used up: in no row, and not offered', () => {
    const world = exampleWorld()
    const records = after(world, markReleased(world, { episode: 'e1' }, context))
    exampleDesk(records)
    const schedule = useSchedule()
    expect(schedule.rows.map((r) => r.day)).not.toContain('2026-12-03')
    expect(schedule.openOf(showOf(records), 1)[0]?.day).toBe('2026-12-10')
    expect(refusalOf(placeOnSlot(records, { episode: 'e2', day: '2026-12-03' }, context))).toContain('Keel')
  })

  test('the film has a frame for every row, on the same day', () => {
    const records = exampleWorld()
    const { moment } = exampleDesk(records)
    const schedule = useSchedule()
    const frames = schedule.frames(showOf(records), moment.today, addDays(moment.today, 60))
    const rows = schedule.rows.filter((r) => r.day <= addDays(moment.today, 60))
    expect(frames.map((f) => f.day)).toEqual(rows.map((r) => r.day))
  })

  test('says how far a show is ahead, and what stands on its next slots', () => {
    const records = exampleWorld()
    const desk = exampleDesk(records)
    const schedule = useSchedule()
    const run = schedule.readyRun(showOf(records))
    expect(run.next.map((c) => c?.title)).toEqual(['Ribs', 'Keel'])
    const more = after(records, editShow(records, { show: 'show', fields: { readyAhead: 4 } }, context))
    desk.see(more)
    expect(schedule.readyRun(showOf(more)).next.map((c) => c?.title)).toEqual([
      'Ribs',
      'Keel',
      undefined,
      undefined,
    ])
  })
})

describe('what slots are kept for', () => {
  test('stands on its date, until something else is put there', () => {
    const world = exampleWorld()
    const kept = after(
      world,
      keepSlots(
        world,
        {
          ...{ show: 'show', kind: 'sponsor' as const, name: 'Kelpline Rope', note: '' },
          kept: { kind: 'slot', day: '2026-12-10' },
        },
        context,
      ),
    )
    const desk = exampleDesk(kept)
    const promises = usePromises()
    expect(promises.keptFor('show', '2026-12-10')?.reservation.name).toBe('Kelpline Rope')
    expect(promises.keptFor('show', '2026-12-17')).toBeUndefined()
    expect(promises.keptFor('show', undefined)).toBeUndefined()
    desk.see(world)
    expect(promises.reserved.size).toBe(0)
  })
})

describe('what a view of the schedule looks at', () => {
  test('everything, one show, or one kind of episode', () => {
    const world = exampleWorld()
    const forms = [{ id: 'talk', name: 'Talk', sign: 't', recipe: 'recipe' }]
    const talk = exampleEpisode({ ...world.episodes.get('e0'), form: 'talk' })
    const other = exampleEpisode({ id: 'x', code: 'AB28', show: 'other' })
    exampleDesk({
      ...world,
      shows: new Map([...world.shows, ['show', { ...showOf(world), forms }]]),
      episodes: new Map([...world.episodes, ['e0', talk], ['x', other]]),
    })
    const desk = useDesk()
    const seen = useForms()
    const e1 = exampleEpisode({ ...world.episodes.get('e1') })
    const shown = () => [talk, e1, other].map(seen.isShown)
    expect(seen.names.value).toEqual(['Talk'])
    expect(shown()).toEqual([true, true, true])
    desk.only = { kind: 'show', id: 'show' }
    expect([shown(), seen.isShownOf(showOf(world))]).toEqual([[true, true, false], true])
    desk.only = { kind: 'form', name: 'Talk' }
    expect([shown(), seen.isShownOf(showOf(world))]).toEqual([[true, false, false], false])
  })
})

describe('how important something is', () => {
  test('is what was pressed; what a sponsor pays for is raised by itself', () => {
    const world = exampleWorld()
    exampleDesk(world)
    const importance = useImportance()
    const plain = exampleEpisode({ ...world.episodes.get('e0') })
    const levels = [0, 1, 2, 3].map((priority) => importance.of({ ...plain, priority }))
    expect(new Set(levels.map((l) => JSON.stringify(l))).size).toBeGreaterThan(1)
    expect(importance.of({ ...plain, sponsor: 'Kelpline Rope' })).not.toEqual(importance.of(plain))
  })
})
