import {
  after,
  exampleAt,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleStep,
  refusalOf,
} from '../examples'
import { editMaterials, type MaterialWish } from '../commands/episode/edit-materials'
import { materialCsv, readLine, readMaterials, readPrice } from '../formats/material-table'
import { readTable } from '../formats/tables'
import type { Material, Records } from '../records'
import { costOf, filmingDay, lateMaterials, sayMaterial } from './materials'
import { progressOf } from './lamps'
import { fullRecipe } from './starters'

const today = '2026-11-24'
const plank: Material = {
  id: 'plank',
  what: 'Larch plank',
  stand: 'ordered',
  required: true,
  expected: '2026-12-03',
}
const thread: Material = { id: 'thread', what: 'Thread', stand: 'wanted', required: false, price: 4.5 }

test('what is expected after the day of filming is late by the days between; what is here never is', () => {
  const late = (materials: Material[], filming?: string) =>
    lateMaterials({ materials }, filming, today).map((l) => [l.material.id, l.days])
  expect(late([thread, plank], '2026-12-01')).toEqual([['plank', 2]])
  expect(late([plank], '2026-12-03')).toEqual([])
  expect(late([{ ...plank, stand: 'here' }], '2026-12-01')).toEqual([])
  expect(late([{ ...plank, by: '2026-11-30' }], '2026-12-20')).toEqual([['plank', 3]])
  // Its day is past and nobody knows when it comes: late as of today.
  expect(late([thread], '2026-11-20')).toEqual([['thread', 4]])
  expect(late([plank])).toEqual([])
})

test('sums are of what has a price', () => {
  expect(costOf({ materials: [plank, thread, { ...thread, id: 'x', stand: 'here', price: 10 }] })).toEqual({
    sum: 14.5,
    open: 4.5,
    unpriced: 1,
  })
  expect(sayMaterial(plank, today)).toMatch(/^ordered, expected Thu 3 Dec/)
})

describe('filming', () => {
  const records = exampleRecords(
    [exampleEpisode({ phase: { kind: 'work', since: exampleAt }, materials: [plank] })],
    'full',
  )
  const standing = (r: Records) => {
    const [episode, show] = [r.episodes.get('episode'), r.shows.get('show')]
    const recipe = show && r.recipes.get(show.recipe)
    if (!episode || !show || !recipe) throw new Error('no example')
    const steps = recipe.lines.map((l) => ({
      ...l,
      id: `episode/${l.id}`,
      episode: 'episode',
      needs: l.needs.map((n) => `episode/${n}`),
      logged: 0,
      owner: 'me',
      blocks: [],
      order: 0,
      createdAt: exampleAt,
      updatedAt: exampleAt,
      ...(l.stage === 'film' ? {} : { doneAt: exampleAt }),
    }))
    return progressOf({
      episode,
      show,
      recipe,
      script: undefined,
      outlets: [],
      steps,
      today,
      works: () => true,
    })
  }

  test('is held back by what it can’t do without, and free once that is here', () => {
    const held = standing(records)
    expect(held.missing.filter((m) => m.kind === 'material')).toMatchObject([{ name: 'Larch plank' }])
    const inFilm = (s: typeof held) =>
      s.steps.filter((x) => x.step.stage === 'film' && x.needs.every((n) => !n.includes('film')))
    expect(inFilm(held).some((s) => s.free)).toBe(false)
    const wish: MaterialWish = { kind: 'change', material: 'plank', to: { stand: 'here' } }
    const now = standing(
      after(records, editMaterials(records, { episode: 'episode', wish }, exampleContext())),
    )
    expect(now.missing.filter((m) => m.kind === 'material')).toEqual([])
    expect(inFilm(now).some((s) => s.free)).toBe(true)
  })
})

describe('the list', () => {
  const records = exampleRecords([exampleEpisode()])
  const act = (r: Records, wish: MaterialWish) =>
    after(r, editMaterials(r, { episode: 'episode', wish }, exampleContext()))
  const of = (r: Records) => r.episodes.get('episode')?.materials ?? []

  test('goes out as a table and comes back; read twice it changes nothing', () => {
    const { id: _p, ...one } = plank
    const { id: _t, ...two } = thread
    const there = act(records, { kind: 'add', materials: [one, two] })
    const table = readTable(materialCsv(of(there)))
    const read = readMaterials(table.ok ? table.value : { columns: [], rows: [] }, today)
    expect(read).toEqual({ materials: [one, two], faults: [] })
    expect(of(act(there, { kind: 'add', materials: read.materials }))).toEqual(of(there))
  })

  test('a table with other columns is understood, and what is wrong is said by line', () => {
    const table = readTable('Item;Cost;ETA\nTar;12,50 €;3 dec\nOakum;cheap;\nRope;3;someday\n;4;\n')
    const read = readMaterials(table.ok ? table.value : { columns: [], rows: [] }, today)
    expect(read.materials).toEqual([
      { what: 'Tar', price: 12.5, stand: 'wanted', required: false, expected: '2026-12-03' },
    ])
    expect(read.faults.map((f) => f.line)).toEqual([3, 4, 5])
  })

  test('a line that is typed has its price at the end', () => {
    expect(readLine('Cotton thread 4.50')).toMatchObject({ what: 'Cotton thread', price: 4.5 })
    expect(readLine('Clamps, 12 of them')).toMatchObject({ what: 'Clamps, 12 of them' })
    expect(readLine('Glue 7 €')).toMatchObject({ what: 'Glue', price: 7 })
    expect(readLine(' ')).toBeUndefined()
    expect([readPrice('1.200,50'), readPrice('1,200'), readPrice('')]).toEqual([1200.5, 1200, undefined])
  })

  test('what is gone is refused', () => {
    const gone = editMaterials(
      records,
      { episode: 'episode', wish: { kind: 'remove', material: 'x' } },
      exampleContext(),
    )
    expect(refusalOf(gone)).toMatch(/no longer on the list/)
  })
})

test('materials are needed for filming, not for what is prepared for it', () => {
  const step = (id: string, kind: 'prepare' | 'film', due: string) => ({
    ...{ step: exampleStep({ id, kind, stage: 'film' }), done: false, left: true, needs: [], free: true },
    ...{ due, minutesLeft: 60 },
  })
  const standing = (...steps: ReturnType<typeof step>[]) => {
    const [stage] = fullRecipe('recipe', 'video', '').stages.filter((s) => s.kind === 'film')
    if (!stage) throw new Error('no stage')
    return {
      stages: [
        { stage, lamp: { state: 'open' as const, share: 0 }, steps, parts: [], items: [], unsettled: [] },
      ],
    }
  }
  const [bench, film] = [step('bench', 'prepare', '2026-11-25'), step('film', 'film', '2026-11-29')]
  expect(filmingDay(standing(bench, film), () => undefined)).toBe('2026-11-29')
  expect(filmingDay(standing(bench, film), (id) => (id === 'bench' ? '2026-11-25' : '2026-11-28'))).toBe(
    '2026-11-28',
  )
  expect(filmingDay(standing(bench), () => undefined)).toBe('2026-11-25')
})
