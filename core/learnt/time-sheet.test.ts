import { after, exampleContext, exampleEpisode, exampleNow, exampleRecords, refusalOf } from '../examples'
import { takeOut } from '../commands/recipes'
import type { Episode, Step } from '../records'
import { saidBefore, toLookBack } from '../views/looking-back'
import type { Made } from './made'
import { daysOf, timeSheet, workedOf } from './time-sheet'
import { unusedOf } from './unused'

const stamps = { createdAt: '2026-01-01T00:00:00.000Z', updatedAt: '2026-01-01T00:00:00.000Z' }
const step = (fields: Partial<Step>): Step => ({
  ...{ id: 's', episode: 'e', stage: 'edit', name: 'Cut', kind: 'edit', minutes: 60, logged: 0 },
  ...{ lead: { kind: 'before', days: 1 }, needs: [], owner: 'me', required: true, blocks: [], order: 0 },
  ...stamps,
  ...fields,
})

test('work stands on its days; what was logged before days were kept, on the day on which it was done', () => {
  const worked = workedOf(
    [
      step({
        logged: 100,
        worked: { '2026-11-24': 40, '2026-11-25': 0 },
        doneAt: '2026-11-26T23:30:00.000Z',
      }),
      step({ logged: 30, name: 'Write', kind: 'write' }),
    ],
    'Europe/Lisbon',
  )
  expect(worked.map((w) => [w.day, w.minutes])).toEqual([
    ['2026-11-24', 40],
    ['2026-11-26', 60],
  ])
})

test('a week begins on Monday, a month has its own days; rows, columns and the whole have the same sum', () => {
  expect(daysOf('week', '2026-11-26')).toEqual([
    ...['2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27', '2026-11-28', '2026-11-29'],
  ])
  expect([daysOf('month', '2028-02-10').length, daysOf('month', '2026-11-01').at(-1)]).toEqual([
    29,
    '2026-11-30',
  ])
  const work = (day: string, kind: 'edit' | 'write', minutes: number) => ({
    ...{ episode: 'e', step: 'x', kind, day, minutes },
  })
  const all = [
    ...[work('2026-11-23', 'edit', 60), work('2026-11-24', 'edit', 15), work('2026-11-24', 'write', 90)],
    work('2026-11-30', 'edit', 500),
  ]
  const sheet = timeSheet(all, daysOf('week', '2026-11-26'), (w) => w.kind)
  expect(sheet.rows.map((r) => [r.name, r.sum])).toEqual([
    ['write', 90],
    ['edit', 75],
  ])
  expect(sheet.sums.slice(0, 3)).toEqual([60, 105, 0])
  expect(sheet.sum).toBe(165)
})

test('what nobody used in ten releases or more can be taken out by one move', () => {
  const r = exampleRecords([], 'full', {
    fields: [{ id: 'f', name: 'Boat', kind: 'text', choices: [] }],
  })
  const [show, recipe] = [r.shows.get('show'), r.recipes.get('recipe')]
  if (!show || !recipe) throw new Error('no example')
  const made = (count: number, lines: Record<string, boolean>): Made[] =>
    Array.from({ length: count }, () => ({
      ...{ episode: exampleEpisode(), day: '2026-11-19', at: 0, lead: 1, spans: [], minutes: 0 },
      ...{
        kinds: new Map(),
        filmed: undefined,
        worked: [],
        ended: new Map(),
        lines: new Map(Object.entries(lines)),
      },
    }))
  const found = unusedOf(made(11, { prepare: false, film: true }), show, recipe)
  expect(found.map((u) => [u.kind, u.name, u.cases])).toEqual([
    ['line', 'Lay out the bench', 11],
    ['field', 'Boat', 11],
  ])
  expect(unusedOf(made(9, { prepare: false }), show, recipe)).toEqual([])
  const next = after(r, takeOut(r, { show: 'show', recipe: 'recipe', unused: found }, exampleContext()))
  expect(next.recipes.get('recipe')?.lines.some((l) => l.id === 'prepare')).toBe(false)
  expect(next.shows.get('show')?.fields).toEqual([])
  expect(
    refusalOf(takeOut(next, { show: 'show', recipe: 'recipe', unused: found }, exampleContext())),
  ).toMatch(/nothing to take out/)
})

test('the last release is asked about while it is fresh, and what was said comes back with the next of its kind', () => {
  const out = (id: string, days: number, fields: Partial<Episode> = {}) =>
    exampleEpisode({
      ...{ id, phase: { kind: 'released', at: new Date(exampleNow - days * 86_400_000).toISOString() } },
      ...fields,
    })
  const ask = (...all: Episode[]) => toLookBack(all, '2026-11-24', 'Europe/Lisbon')?.id
  const said = { well: 'the light', change: 'begin the cut sooner', at: stamps.createdAt }
  expect(ask(out('a', 3), out('b', 10))).toBe('a')
  expect(ask(out('a', 0))).toBeUndefined()
  expect(ask(out('a', 12))).toBeUndefined()
  expect(ask(out('a', 3, { lookedBack: said }), out('b', 5))).toBeUndefined()
  const released = [
    out('a', 3, { lookedBack: said }),
    out('b', 5, { form: 'talk', lookedBack: said }),
    out('c', 9),
  ]
  expect(saidBefore(released, { id: 'x', show: 'show' }).map((s) => s.episode.id)).toEqual(['a'])
  expect(saidBefore(released, { id: 'a', show: 'show' })).toEqual([])
})
