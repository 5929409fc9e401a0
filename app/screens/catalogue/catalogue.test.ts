import { effectScope, nextTick, ref } from 'vue'
import { exampleEpisode, exampleRecords } from '@core/examples'
import type { Found } from '@core/ideas/library-index'
import type { Episode, Id, Records } from '@core/records'
import { exampleDesk } from '@app/stores/example-desk'
import { drawArcs, type Pen } from './parts/arcs'
import { useFilm, type FilmFrame } from './parts/useFilm'
import { useCatalogue } from './useCatalogue'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
const pushed: unknown[] = []
jest.mock('vue-router', () => ({ useRouter: () => ({ push: (to: unknown) => pushed.push(to) }) }))
let answer: Found[] = []
const asked: string[] = []
jest.mock('@app/stores/reading', () => ({
  useReading: () => ({
    edition: 0,
    like: () => Promise.resolve([{ id: 'e3', likeness: 0.5, words: ['larch', 'planks', 'oak'] }]),
    search: (words: string) => {
      asked.push(words)
      return Promise.resolve(answer)
    },
    said: (of: Record<Id, string[]>) =>
      Promise.resolve(
        Object.fromEntries(Object.keys(of).map((id, i) => [id, { passage: `so ${id}`, times: i + 1 }])),
      ),
  }),
}))

/** The n-th of the releases, a week after the one before. */
const out = (n: number, fields: Partial<Episode> = {}): Episode =>
  exampleEpisode({
    ...{ id: `e${n}`, code: `AB2${n}`, title: ['Keel', 'Larch', 'Spar', 'Larch again'][n - 1] ?? 'Oar' },
    number: n,
    phase: { kind: 'released', at: `2026-10-${String(1 + 7 * (n - 1)).padStart(2, '0')}T16:00:00.000Z` },
    ...fields,
  })
const link = (to: string) => ({ id: `to ${to}`, label: to, url: 'https://video.example/', episode: to })

/** The catalogue of some records, in a scope of its own. */
function catalogue(records: Records) {
  const desk = exampleDesk(records)
  const scope = effectScope()
  const of = scope.run(useCatalogue)
  if (!of) throw new Error('no catalogue')
  return { of, desk, scope }
}
const world = () => exampleRecords([out(1), out(2, { links: [link('e1')] }), out(3), out(4)])
const saying = (id: Id): Found => ({ id, words: ['larch'], script: true })
const titles = (rows: readonly { title: string }[]) => rows.map((r) => r.title)
const settled = async () => {
  for (let i = 0; i < 6; i++) await nextTick()
}

describe('the catalogue', () => {
  test('lists what is out, the latest first, and looks at the first until another is chosen', () => {
    const { of } = catalogue(world())
    expect(titles(of.sorted.value)).toEqual(['Larch again', 'Spar', 'Larch', 'Keel'])
    expect(of.here.value?.title).toBe('Larch again')
    expect(of.turn(of.sorted.value, 1)).toBe(true)
    expect(of.here.value?.title).toBe('Spar')
    of.look('e1')
    expect(of.turn(of.sorted.value, 1)).toBe(false)
    of.open()
    expect(pushed.at(-1)).toEqual({ name: 'episode', params: { code: 'AB21' } })
  })

  test('what is linked is linked both ways, and offered no more as likely', async () => {
    const { of } = catalogue(world())
    of.look('e1')
    await settled()
    expect(titles(of.linked.value)).toEqual(['Larch'])
    expect(of.likely.value.map((l) => [l.row.title, l.words])).toEqual([['Spar', ['larch', 'planks']]])
    of.look('e2')
    await settled()
    expect(titles(of.linked.value)).toEqual(['Keel'])
    of.look('e3')
    await settled()
    expect(of.likely.value).toEqual([])
  })

  test('asked, titles answer at once; then all that was said, with how often', async () => {
    const { of } = catalogue(world())
    answer = ['e4', 'e2', 'e3', 'idea'].map(saying)
    of.question.asked.value = 'larch'
    expect(titles(of.rows.value)).toEqual(['Larch again', 'Larch'])
    await settled()
    expect(asked.at(-1)).toBe('larch')
    expect(titles(of.rows.value)).toEqual(['Larch again', 'Spar', 'Larch'])
    expect(of.rows.value.map((r) => r.said)).toEqual([1, 3, 2])
    expect(of.question.passageOf('e3')).toBe('so e3')
    expect(of.answer.value).toBe('Larch: made 2 times, #4, #2; spoken of in 1 more')
    of.question.asked.value = ''
    await settled()
    expect(of.rows.value).toHaveLength(4)
    expect(of.answer.value).toBe('')
  })

  test('the filters count what they leave', () => {
    const facts = [{ id: 'f', what: 'a price', on: '2026-11-20' }]
    const { of } = catalogue(exampleRecords([out(1), out(2, { links: [link('e1')] }), out(3, { facts })]))
    expect(of.counts.value).toEqual({ unlinked: 1, again: 1, paste: 1 })
    for (const filter of ['unlinked', 'again', 'paste'] as const) {
      of.filter.value = filter
      expect([filter, of.rows.value.length]).toEqual([filter, of.counts.value[filter]])
    }
    of.only.value = 'another show'
    expect(of.counts.value).toEqual({ unlinked: 0, again: 0, paste: 0 })
  })

  test('what goes on from one is found, unless it was dropped', () => {
    const next = exampleEpisode({ id: 'n', code: 'AB29', title: 'More larch', follows: 'e4' })
    const { of, desk } = catalogue(exampleRecords([out(4), next]))
    expect(of.follows.value?.id).toBe('n')
    desk.see(exampleRecords([out(4), { ...next, phase: { kind: 'dropped', why: '' } }]))
    expect(of.follows.value).toBeUndefined()
  })
})

describe('the film', () => {
  const filmOf = (width: number) => {
    const { of, desk } = catalogue(world())
    const wide = ref(width)
    return { wide, film: useFilm(of, wide), desk, of }
  }

  test('is laid out once it is known how wide it is: true to time, none over another', () => {
    const { film, wide } = filmOf(0)
    expect(film.frames.value).toEqual([])
    wide.value = 800
    const frames = film.frames.value
    expect(frames.map((f) => f.number)).toEqual(['#1', '#2', '#3', '#4'])
    const steps = frames.slice(1).map((f, i) => f.x - (frames[i]?.x ?? 0))
    for (const step of steps) expect(step).toBeCloseTo(steps[0] ?? 0)
    for (const [i, f] of frames.entries()) {
      expect(f.x + f.w).toBeLessThanOrEqual((frames[i + 1]?.x ?? Infinity) + 0.01)
      expect(f.x).toBeGreaterThanOrEqual(0)
    }
    expect(film.now.value).toBeGreaterThan(frames.at(-1)?.x ?? 0)
    expect(film.inner.value).toBeGreaterThanOrEqual(800)
  })

  test('stays where it is while one asks; what is not found is told apart', async () => {
    const { film, of } = filmOf(800)
    const before = film.frames.value
    answer = [saying('e4')]
    of.question.asked.value = 'larch'
    await settled()
    expect(film.frames.value.map((f) => f.x)).toEqual(before.map((f) => f.x))
    expect([...film.found.value]).toEqual(['e4'])
  })

  test('its months rise, and stand within it', () => {
    const { film } = filmOf(1200)
    const months = film.months.value
    expect(months.length).toBeGreaterThan(1)
    expect([...months].sort((a, b) => a.x - b.x)).toEqual(months)
    for (const m of months) expect(m.x).toBeLessThan(film.inner.value)
  })
})

describe('arcs', () => {
  const at = (id: string, x: number): FilmFrame => ({
    ...{ id, row: undefined, number: id, lane: 0, x, w: 20, y: 112, h: 36 },
  })
  /** What a pen was asked to do, by name. */
  function drawn(scene: Partial<Parameters<typeof drawArcs>[1]>): string[] {
    const done: string[] = []
    const note = (name: string) => () => {
      done.push(name)
    }
    const pen: Pen = {
      ...{ lineWidth: 1, strokeStyle: '', beginPath: note('beginPath'), clearRect: note('clearRect') },
      ...{ bezierCurveTo: note('bezierCurveTo'), quadraticCurveTo: note('quadraticCurveTo') },
      ...{ lineTo: note('lineTo'), moveTo: note('moveTo') },
      ...{ setLineDash: note('setLineDash'), stroke: note('stroke') },
    }
    drawArcs(pen, {
      frames: new Map(['a', 'b', 'c', 'far'].map((id, i) => [id, at(id, id === 'far' ? 90_000 : 100 * i)])),
      arcs: [],
      likely: [],
      here: undefined,
      ...{ left: 0, width: 500, height: 200, ink: '#fff', faint: '#333' },
      ...scene,
    })
    return done
  }
  const curves = (done: string[]) => done.filter((d) => d.endsWith('CurveTo')).length

  test('one in sight is drawn, one out of sight or without both its ends is not', () => {
    expect(curves(drawn({ arcs: [{ from: 'a', to: 'b' }] }))).toBe(1)
    expect(curves(drawn({ arcs: [{ from: 'a', to: 'b' }], left: 5000 }))).toBe(0)
    expect(curves(drawn({ arcs: [{ from: 'a', to: 'gone' }] }))).toBe(0)
  })

  test('one much longer than the room is drawn as far as it is in it', () => {
    expect(drawn({ arcs: [{ from: 'a', to: 'far' }] })).toContain('quadraticCurveTo')
    expect(curves(drawn({ arcs: [{ from: 'a', to: 'far' }], left: 40_000 }))).toBe(0)
    expect(drawn({ arcs: [{ from: 'a', to: 'far' }], left: 40_000 })).toContain('lineTo')
  })

  test('those of what is looked at are drawn by themselves, and the likely ones too', () => {
    const arcs = [
      { from: 'a', to: 'b' },
      { from: 'b', to: 'c' },
    ]
    expect(curves(drawn({ arcs, here: 'a', likely: ['c'] }))).toBe(3)
    expect(drawn({ arcs }).filter((d) => d === 'stroke')).toHaveLength(1)
    expect(drawn({ arcs, here: 'a' }).filter((d) => d === 'stroke')).toHaveLength(3)
  })
})
