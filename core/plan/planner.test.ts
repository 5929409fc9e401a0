import fc from 'fast-check'
import { addDays } from '../rhythm/days'
import { drawsOf } from './chance'
import { layWork } from './load'
import { isBetter, Planner, type WorkBlock, type PlanFor, type PlanCost, type Task } from './planner'
import { calm } from './task'
import { bestByTrying } from './reference'
import { smallCase } from './small-cases'
import { runs } from '../runs'

const first = '2026-11-23'
const task = (id: string, fields: Partial<Task> = {}): Task => ({
  id,
  episode: id[0] ?? 'a',
  kind: 'write',
  minutes: 60,
  needs: [],
  split: false,
  weight: 1,
  ...fields,
})
const plan = (of: Partial<PlanFor> & { tasks: Task[] }, tries = 400) => {
  const planner = new Planner({
    first,
    minutes: [120, 120, 120, 120, 120],
    pinned: [],
    setup: {},
    preferred: {},
    ...of,
  })
  planner.improve(tries)
  return planner.plan
}
const dayOfBlock = (blocks: readonly WorkBlock[], id: string) =>
  blocks.filter((b) => b.id === id).map((b) => b.day)

describe('planning the hours', () => {
  test('films two episodes on one day, because they share the set-up', () => {
    const tasks = [
      task('a-film', { kind: 'film', due: '2026-11-27' }),
      task('b-write', { minutes: 100, due: '2026-11-24' }),
      task('b-film', { kind: 'film', needs: ['b-write'], due: '2026-11-27' }),
    ]
    const { blocks, score } = plan({ tasks, minutes: [180, 180, 180, 180, 180], setup: { film: 45 } })
    expect(dayOfBlock(blocks, 'a-film')).toEqual(dayOfBlock(blocks, 'b-film'))
    expect(score.setup).toBe(45)
  })

  test('gives one release up to save two, and the sponsored one before all', () => {
    const tasks = [
      task('a1', { minutes: 240, split: true, due: '2026-11-24', release: '2026-11-24' }),
      task('b1', { minutes: 120, due: '2026-11-24', release: '2026-11-24' }),
      task('c1', { minutes: 120, due: '2026-11-24', release: '2026-11-24' }),
    ]
    expect(plan({ tasks }).missed).toEqual(['a'])
    expect(
      plan({ tasks: tasks.map((t) => (t.id === 'a1' ? { ...t, weight: 5 } : t)) }).missed.sort(),
    ).toEqual(['b', 'c'])
  })

  test('keeps pins, earliest dates and preferred weekdays', () => {
    const { blocks } = plan({
      tasks: [
        task('a', { kind: 'edit', due: '2026-11-27' }),
        task('b', { earliest: '2026-11-26' }),
        task('c', { minutes: 90 }),
      ],
      pinned: [{ id: 'c', day: '2026-11-25', minutes: 90 }],
      preferred: { edit: [4] },
    })
    expect(dayOfBlock(blocks, 'a')).toEqual(['2026-11-27'])
    expect(dayOfBlock(blocks, 'b')).toEqual(['2026-11-26'])
    expect(dayOfBlock(blocks, 'c')).toEqual(['2026-11-25'])
  })

  test('keeps a day to few sorts of work where nothing is late for it', () => {
    const tasks = ['a', 'b', 'c', 'd'].flatMap((e) => [
      task(`${e}-write`, { minutes: 30, due: '2026-12-04' }),
      task(`${e}-cut`, { minutes: 30, kind: 'edit', due: '2026-12-04' }),
      task(`${e}-more`, { minutes: 30, due: '2026-12-04' }),
    ])
    const of = { tasks, first, minutes: [180, 180, 180, 180], pinned: [], setup: {}, preferred: {} }
    const stands = layWork(of).score
    const { score } = plan(of, 3000)
    expect(stands.changes).toBe(6)
    expect(score).toMatchObject({ missed: 0, late: 0 })
    expect(score.changes).toBeLessThanOrEqual(5)
    // Not by putting things off: nothing stands on a day that could be empty.
    expect(score.ends).toBeLessThanOrEqual(stands.ends + 180)
  })

  test('a last few minutes join what was pinned; work is cut into no piece under a quarter of an hour', () => {
    const tasks = [task('a', { minutes: 100 }), task('b', { minutes: 40, due: '2026-11-23' })]
    const pinned = [{ id: 'a', day: '2026-11-25', minutes: 90 }]
    const { blocks } = plan({ tasks, pinned })
    expect(dayOfBlock(blocks, 'a')).toEqual(['2026-11-25', '2026-11-25'])
    fc.assert(
      fc.property(
        fc.integer({ min: 21, max: 90 }),
        fc.array(fc.constantFrom(15, 20, 25, 31, 44)),
        (n, days) => {
          const of = {
            tasks: [task('a', { minutes: n, split: true })],
            minutes: [...days, 20, 45, 20, 45, 45],
          }
          const laid = plan(of).blocks
          expect(laid.reduce((s, b) => s + b.minutes, 0)).toBe(n)
          for (const b of laid) expect(b.minutes).toBeGreaterThanOrEqual(15)
        },
      ),
    )
  })

  test('says what found no room, and what needs it', () => {
    const { unplaced, score } = plan({
      tasks: [
        task('a1', { minutes: 700, split: true }),
        task('a2', { needs: ['a1'], release: '2026-11-27' }),
      ],
    })
    expect(unplaced).toEqual(['a1', 'a2'])
    expect(score.missed).toBe(1)
  })

  test('never breaks capacity, needs, pins or earliest dates, and loses no minute', () => {
    const one = fc.record({
      minutes: fc.integer({ min: 1, max: 300 }),
      due: fc.integer({ min: -2, max: 12 }),
      early: fc.option(fc.integer({ min: 0, max: 8 })),
      film: fc.boolean(),
      split: fc.boolean(),
      needs: fc.array(fc.nat({ max: 9 }), { maxLength: 2 }),
    })
    fc.assert(
      fc.property(
        fc.array(one, { minLength: 1, maxLength: 10 }),
        fc.array(fc.constantFrom(0, 60, 120, 200), { minLength: 10, maxLength: 16 }),
        (list, minutes) => {
          const tasks = list.map((w, i) =>
            task(`t${i}`, {
              kind: w.film ? 'film' : 'edit',
              minutes: w.minutes,
              split: w.split,
              due: addDays(first, w.due),
              needs: w.needs.filter((n) => n < i).map((n) => `t${n}`),
              ...(w.early === null ? {} : { earliest: addDays(first, w.early) }),
            }),
          )
          const setup = { film: 45 }
          const { blocks, unplaced } = plan({ tasks, minutes, setup }, 60)
          minutes.forEach((room, n) => {
            const mine = blocks.filter((b) => b.day === addDays(first, n))
            const films = mine.some((b) => tasks.find((t) => t.id === b.id)?.kind === 'film') ? 45 : 0
            expect(mine.reduce((s, b) => s + b.minutes, 0) + films).toBeLessThanOrEqual(Math.max(room, 0))
          })
          for (const t of tasks) {
            const mine = blocks.filter((b) => b.id === t.id)
            if (!unplaced.includes(t.id)) expect(mine.reduce((s, b) => s + b.minutes, 0)).toBe(t.minutes)
            for (const b of mine) {
              if (t.earliest) expect(b.day >= t.earliest).toBe(true)
              for (const need of t.needs)
                for (const other of blocks.filter((x) => x.id === need)) expect(other.day <= b.day).toBe(true)
            }
          }
        },
      ),
      { numRuns: runs(50) },
    )
  })

  test('the same seed gives the same plan, and more tries never a worse one', () => {
    const draw = drawsOf(5)
    const tasks = Array.from({ length: 20 }, (_, i) =>
      task(`t${i}`, {
        episode: `e${i % 5}`,
        minutes: 30 + Math.floor(draw() * 90),
        due: addDays(first, 1 + Math.floor(draw() * 9)),
        release: addDays(first, 10),
        kind: i % 3 ? 'edit' : 'film',
        needs: i > 4 ? [`t${i - 5}`] : [],
      }),
    )
    const of: PlanFor = {
      tasks,
      first,
      minutes: Array.from({ length: 14 }, () => 150),
      pinned: [],
      setup: { film: 45 },
      preferred: {},
    }
    const planner = new Planner(of, 7)
    let last = planner.plan.score
    for (let i = 0; i < 6; i++) {
      planner.improve(60)
      expect(isBetter(last, planner.plan.score)).toBe(false)
      last = planner.plan.score
    }
    const again = new Planner(of, 7)
    for (let i = 0; i < 6; i++) again.improve(60)
    expect(again.plan).toEqual(planner.plan)
  })
})

/** The planner's score and the best there is; it may try until it has it, at most so often. */
function against(
  n: number,
  most: number,
): { of: PlanFor; planner: Planner; score: PlanCost; best: PlanCost } {
  const of = smallCase(n)
  const best = bestByTrying(of)
  const planner = new Planner(of, n + 1)
  while (planner.tried < most && isBetter(best, planner.plan.score)) {
    planner.improve(50)
    if (of.tasks.length < 2) break
  }
  return { of, planner, score: planner.plan.score, best }
}

test('against brute force on small cases: the fewest missed releases always, the whole within 5 % on average', () => {
  const ratios: number[] = []
  let tried = 0
  for (let n = 0; n < 50; n++) {
    const { of, planner, score, best } = against(n, 3000)
    // Fewer only where a sitting was split, since no day up to its release takes it whole: trying splits nothing.
    expect([n, score.missed <= best.missed]).toEqual([n, true])
    const ids = planner.plan.blocks.map((b) => b.id)
    const isSplit = new Set(ids).size < ids.length
    expect([n, isSplit || score.missed === best.missed]).toEqual([n, true])
    if (isSplit) continue
    tried++
    expect([n, planner.broken]).toEqual([n, []])
    for (const p of of.pinned)
      if (p.id !== 'other')
        expect(planner.plan.blocks.filter((b) => b.id === p.id)).toEqual([{ ...p, fixed: true }])
    const worth = (s: PlanCost) =>
      10_000 * s.missed + 2000 * s.narrow + 500 * s.late + s.setup + (s.ends + calm * s.unrest) / 100
    ratios.push((1 + worth(score)) / (1 + worth(best)))
  }
  expect(tried).toBeGreaterThan(25)
  expect(Math.min(...ratios)).toBeGreaterThanOrEqual(0.999)
  expect(ratios.reduce((s, r) => s + r, 0) / ratios.length).toBeLessThan(1.05)
})

test('more hours on any day never miss more releases', () => {
  const worse: string[] = []
  for (let n = 0; n < runs(60); n++) {
    const of = smallCase(10_000 + n)
    const missed = (minutes: readonly number[]) => {
      const planner = new Planner({ ...of, minutes }, n + 1)
      planner.improve(1500)
      return planner.plan.score.missed
    }
    const draw = drawsOf(n)
    const longer = Math.floor(draw() * of.minutes.length)
    const more = 15 * (1 + Math.floor(draw() * 12))
    const before = missed(of.minutes)
    const after = missed(of.minutes.map((m, i) => (i === longer ? m + more : m)))
    if (after > before) worse.push(`${n}: ${before} → ${after}`)
  }
  expect(worse).toEqual([])
})

describe('worked cases', () => {
  const of = (fields: Partial<PlanFor> & { tasks: Task[] }): PlanFor => ({
    first,
    minutes: [120, 120, 120, 120, 120],
    pinned: [],
    setup: {},
    preferred: {},
    ...fields,
  })
  const day = (n: number) => addDays(first, n)

  test('one long day far ahead holds back nothing: work longer than any day in sight is split', () => {
    const minutes = Array.from({ length: 150 }, (_, n) => (n === 117 ? 600 : 120))
    const film = task('film', { kind: 'film', minutes: 150, due: day(5), release: day(10) })
    const { blocks } = new Planner(of({ tasks: [film], minutes, setup: { film: 45 } })).plan
    expect(blocks.map((b) => [b.day, b.minutes])).toEqual([
      [day(0), 75],
      [day(1), 75],
    ])
  })

  test('a long day behind its release does not keep work from being split before it', () => {
    const film = task('film', { kind: 'film', minutes: 150, due: day(4), release: day(4) })
    const days = (last: number) =>
      new Planner(of({ tasks: [film], minutes: [120, 120, 120, 120, 120, last, 0, 120] })).plan.blocks.map(
        (b) => b.day,
      )
    expect(days(0)).toEqual([day(0), day(1)])
    expect(days(240)).toEqual([day(0), day(1)])
  })

  test('nor does one behind a block that stays and needs it', () => {
    const tasks = [
      task('a', { minutes: 150, due: day(3) }),
      task('b', { minutes: 60, needs: ['a'], due: day(3) }),
    ]
    const pinned = [{ id: 'b', day: day(2), minutes: 60 }]
    const planner = new Planner(of({ tasks, pinned, minutes: [90, 60, 60, 180] }))
    expect(planner.broken).toEqual([])
    expect(planner.plan.blocks.filter((b) => b.id === 'b')).toMatchObject([{ day: day(2), fixed: true }])
    expect(dayOfBlock(planner.plan.blocks, 'a')).toEqual([day(0), day(1)])
  })

  test('work that can be split and is longer than a day, yet under an hour, is cut where it must be', () => {
    const { blocks, unplaced } = new Planner(
      of({ tasks: [task('a', { minutes: 50, split: true })], minutes: [45, 45, 45] }),
    ).plan
    expect([blocks.map((b) => b.minutes), unplaced]).toEqual([[25, 25], []])
    const long = new Planner(of({ tasks: [task('a', { minutes: 100, split: true })], minutes: [45, 45, 45] }))
    expect(long.plan.blocks.map((b) => b.minutes)).toEqual([40, 30, 30])
  })

  test('a release that cannot be saved gives its room back: one of two is missed, not both', () => {
    const tasks = [
      task('a1', { minutes: 120, split: true, due: day(0), release: day(0) }),
      task('a2', { minutes: 60, split: true, due: day(0), release: day(0) }),
      task('b1', { minutes: 120, split: true, due: day(1), release: day(1) }),
      task('b2', { minutes: 120, split: true, due: day(1), release: day(1) }),
      task('c1', { minutes: 45, split: true, due: day(2), release: day(2) }),
    ]
    expect(new Planner(of({ tasks, minutes: [60, 180, 60] })).plan.missed).toEqual(['a'])
  })

  test('what a pinned block needs comes before it, whatever else presses', () => {
    const tasks = [
      task('b1', { minutes: 60, due: day(0) }),
      task('a1', { minutes: 60, due: day(3) }),
      task('a2', { minutes: 60, due: day(3), needs: ['a1'] }),
    ]
    const pinned = [{ id: 'a2', day: day(1), minutes: 60 }]
    const { blocks } = new Planner(of({ tasks, minutes: [0, 180, 120, 0], pinned })).plan
    expect(blocks.map((b) => [b.id, b.day])).toEqual(
      expect.arrayContaining([
        ['a1', day(1)],
        ['b1', day(1)],
      ]),
    )
    const tight = new Planner(of({ tasks, minutes: [0, 120, 120, 0], pinned }))
    expect(tight.plan.blocks.find((b) => b.id === 'a1')?.day).toBe(day(1))
    expect(tight.plan.blocks.find((b) => b.id === 'b1')?.day).toBe(day(2))
  })

  test('a block that cannot stay takes no minutes from one that can', () => {
    const tasks = [task('a1', { minutes: 60 }), task('a2', { minutes: 120, needs: ['a1'] })]
    const pinned = [
      { id: 'a1', day: day(2), minutes: 60 },
      { id: 'a2', day: day(0), minutes: 75 },
      { id: 'a2', day: day(1), minutes: 45 },
      { id: 'a2', day: day(3), minutes: 45 },
    ]
    const planner = new Planner(of({ tasks, minutes: [120, 120, 120, 120, 120], pinned }))
    const film = planner.plan.blocks.filter((b) => b.id === 'a2')
    expect(film.filter((b) => b.fixed).map((b) => [b.day, b.minutes])).toEqual([[day(3), 45]])
    expect(film.reduce((s, b) => s + b.minutes, 0)).toBe(120)
    expect(planner.broken.map((b) => b.day)).toEqual([day(0), day(1)])
  })

  test('pins of work that is not planned take their room of the day', () => {
    const { blocks } = new Planner(
      of({ tasks: [task('a', { minutes: 60 })], pinned: [{ id: 'other', day: day(0), minutes: 100 }] }),
    ).plan
    expect(blocks.map((b) => b.day)).toEqual([day(1)])
  })
})
