import { effectScope } from 'vue'
import { exampleEpisode, exampleRecords } from '@core/examples'
import type { Episode } from '@core/records'
import { deskThatDoes } from '@app/stores/example-desk'
import { useFigureEntry } from './useFigureEntry'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

/** The n-th release, a week after the one before, with its figures. */
const out = (n: number, views: number[] = []): Episode =>
  exampleEpisode({
    ...{ id: `e${n}`, code: `AB2${n}`, title: `Film ${n}`, number: n },
    phase: { kind: 'released', at: `2026-11-${String(1 + 7 * (n - 1)).padStart(2, '0')}T16:00:00.000Z` },
    figures: views.map((v, i) => ({ age: i + 1, views: v })),
  })

function entry(episodes: Episode[] = [out(1), out(2), out(3)]) {
  const desk = deskThatDoes(exampleRecords(episodes))
  const [show] = desk.moment.shows
  if (!show) throw new Error('no show')
  const of = effectScope().run(() => useFigureEntry(() => show))
  if (!of) throw new Error('no entry')
  const row = (id: string) => {
    const found = of.rows.value.find((r) => r.episode.id === id)
    if (!found) throw new Error(`no row ${id}`)
    return found
  }
  const figuresOf = (id: string) => desk.library.records.episodes.get(id)?.figures ?? []
  return { desk, of, row, figuresOf }
}

describe('figures that are typed', () => {
  test('the latest first, each as old as it was on the day on which they were counted', () => {
    const { of } = entry()
    expect(of.rows.value.map((r) => [r.episode.id, r.age])).toEqual([
      ['e3', 9],
      ['e2', 16],
      ['e1', 23],
    ])
    of.on.value = '2026-11-10'
    expect(of.rows.value.map((r) => [r.episode.id, r.age])).toEqual([
      ['e2', 2],
      ['e1', 9],
    ])
  })

  test('as people write them: thousands, k, per cent, followers lost; what is no figure says so and is not kept', async () => {
    const { of, row, figuresOf, desk } = entry()
    of.write(row('e1'), 'views', '12.4k')
    of.write(row('e1'), 'pressed', '4,5 %')
    of.write(row('e1'), 'gained', '−12')
    of.write(row('e2'), 'views', '12,400')
    of.write(row('e3'), 'views', 'many')
    expect(row('e1').figure).toEqual({ age: 23, views: 12_400, pressed: 0.045, gained: -12 })
    expect(row('e2').figure?.views).toBe(12_400)
    expect(row('e3').fault).toMatch(/^Views: “many” is no figure\. Write it as/)
    expect([of.ready.value.map((r) => r.episode.id), of.open.value]).toEqual([['e2', 'e1'], 1])
    await of.keep()
    expect(desk.refused).toEqual([])
    expect([figuresOf('e1').length, figuresOf('e2').length, figuresOf('e3').length]).toEqual([1, 1, 0])
  })

  test('a column that was copied fills the rows from there on; one value alone is typed as ever', () => {
    const { of, row } = entry()
    expect(of.paste(row('e3'), 'views', '410')).toBe(false)
    expect(of.paste(row('e2'), 'views', '410\tx\n1,200\n99\n')).toBe(true)
    expect(['e3', 'e2', 'e1'].map((id) => of.textOf(row(id), 'views'))).toEqual(['', '410', '1,200'])
    expect(of.paste(row('e3'), 'likes', '7\n\n9')).toBe(true)
    expect(['e3', 'e2', 'e1'].map((id) => of.textOf(row(id), 'likes'))).toEqual(['7', '', '9'])
  })

  test('what is odd is asked about, and kept once one is sure', async () => {
    const { of, row, figuresOf } = entry([out(1, [4000, 5000])])
    of.write(row('e1'), 'views', '50')
    expect(row('e1').odd.length).toBeGreaterThan(0)
    expect([of.ready.value.length, of.open.value]).toEqual([0, 1])
    of.asItIs(row('e1'))
    expect([of.ready.value.length, of.open.value]).toEqual([1, 0])
    await of.keep()
    expect(figuresOf('e1').at(-1)).toMatchObject({ age: 23, views: 50 })
  })

  test('figures of an outlet stand under it; the outlet alone is no figure', () => {
    const { of, row } = entry()
    of.outlet.value = 'outlet'
    expect(of.ready.value).toEqual([])
    of.write(row('e2'), 'views', '10')
    expect(row('e2').figure).toEqual({ age: 16, outlet: 'outlet', views: 10 })
  })
})
