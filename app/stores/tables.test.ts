import { computed, shallowRef } from 'vue'
import { exampleEpisode, exampleShow } from '@core/examples'
import { recordsOf, rowsFrom, tableNames } from '@core/records'
import { exampleWorld } from '@core/views/example-cards'
import { useCards } from './cards'
import { exampleDesk } from './example-desk'
import { keptSame } from './kept-same'
import { useSchedule } from './schedule'
import { tablesOf } from './tables'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

test('what is derived of one table is derived anew when that one is another, and only then', () => {
  const records = shallowRef(recordsOf(rowsFrom(() => [])))
  const tables = tablesOf(records)
  let derived = 0
  const titles = computed(() => {
    derived++
    return [...tables.shows.values()].map((s) => s.title)
  })
  expect(titles.value).toEqual([])
  records.value = { ...records.value, episodes: new Map([['e', exampleEpisode({ id: 'e' })]]) }
  expect([titles.value, tables.episodes.size, derived]).toEqual([[], 1, 1])
  records.value = { ...records.value, shows: new Map([['s', exampleShow({ id: 's', title: 'Tern' })]]) }
  expect([titles.value, derived]).toEqual([['Tern'], 2])
  // They are records like any others: all of them can be read and taken over.
  expect({ ...tables }).toEqual(records.value)
  expect(Object.keys(tables).sort()).toEqual([...tableNames].sort())
})

test('a step that begins leaves every card and the film as they were; other hours do not', () => {
  const records = exampleWorld()
  const desk = exampleDesk(records)
  const [cards, schedule] = [useCards(), useSchedule()]
  const settings = desk.library.settings
  const film = () =>
    schedule.frames([...records.shows.values()][0] ?? exampleShow(), '2026-11-01', '2026-12-31')
  const before = { working: [...cards.working], numbers: cards.numbers, film: film() }
  expect(before.working.length).toBeGreaterThan(0)
  const see = (next: Partial<typeof settings>) => {
    // As a write hands it on: all of it copied.
    const copied = structuredClone({ ...settings, ...next })
    desk.see({ ...desk.library.records, settings: new Map([['settings', copied]]) })
  }
  see({ running: { step: 'any', since: '2026-11-24T09:00:00.000Z' } })
  expect(desk.library.settings.running?.step).toBe('any')
  expect(cards.working.every((c, i) => c === before.working[i])).toBe(true)
  expect(cards.numbers).toBe(before.numbers)
  expect(film()).toEqual(before.film)
  see({ hours: [0, 0, 0, 0, 0, 600, 0] })
  expect(cards.working.some((c, i) => c !== before.working[i])).toBe(true)
})

test('what says the same stays the very same, and what says another thing does not', () => {
  const settings = shallowRef({ hours: [60, 0], note: 'a' })
  const hours = keptSame(() => ({ hours: settings.value.hours }))
  const first = hours.value
  settings.value = { hours: [60, 0], note: 'b' }
  expect(hours.value).toBe(first)
  settings.value = { hours: [0, 60], note: 'b' }
  expect(hours.value).toEqual({ hours: [0, 60] })
})
