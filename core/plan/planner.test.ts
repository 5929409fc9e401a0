import fc from 'fast-check'
import { addDays, dayNumber } from '../rhythm/days'
import { drawsOf } from './chance'
import { isBetter, Planner, type Block, type PlanFor, type Score, type Task } from './planner'

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
const dayOfBlock = (blocks: readonly Block[], id: string) =>
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
      { numRuns: 150 },
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

/** The best of every assignment of whole steps to days, or to none: tried one by one. */
function bruteForce(of: PlanFor): Score {
  const { tasks, minutes, setup } = of
  const days = minutes.length
  const at = (day: string | undefined) => (day === undefined ? Infinity : dayNumber(day) - dayNumber(first))
  const needs = tasks.map((t) => t.needs.map((n) => tasks.findIndex((x) => x.id === n)))
  let best: Score | undefined
  const chosen: number[] = []
  const go = (i: number): void => {
    if (i === tasks.length) {
      const missed = new Map<string, number>()
      let [late, ends, setups] = [0, 0, 0]
      tasks.forEach((t, k) => {
        const end = chosen[k] ?? days
        if (end > at(t.release)) missed.set(t.episode, Math.max(t.weight, missed.get(t.episode) ?? 0))
        late += Math.max(0, end - Math.max(0, at(t.due)))
        ends += end * t.minutes
      })
      for (let n = 0; n < days; n++) {
        const mine = tasks.filter((_, k) => chosen[k] === n)
        const cost = [...new Set(mine.map((t) => t.kind))].reduce((s, k) => s + (setup[k] ?? 0), 0)
        if (mine.reduce((s, t) => s + t.minutes, 0) + cost > (minutes[n] ?? 0)) return
        setups += cost
      }
      const score = { missed: [...missed.values()].reduce((s, w) => s + w, 0), late, setup: setups, ends }
      if (!best || isBetter(score, best)) best = score
      return
    }
    const from = Math.max(
      0,
      ...(needs[i] ?? []).map((n) => chosen[n] ?? 0),
      tasks[i]?.earliest === undefined ? 0 : at(tasks[i]?.earliest),
    )
    for (let n = from; n <= days; n++) {
      if (
        n < days &&
        (tasks[i]?.minutes ?? 0) +
          tasks.reduce((s, t, k) => s + (k < i && chosen[k] === n ? t.minutes : 0), 0) >
          (minutes[n] ?? 0)
      )
        continue
      chosen[i] = n
      go(i + 1)
    }
    chosen.length = i
  }
  go(0)
  if (!best) throw new Error('no assignment')
  return best
}

test('against brute force on 240 small cases: the fewest missed releases always, the whole within 5 % on average', () => {
  const ratios: number[] = []
  for (let n = 0; n < 240; n++) {
    const draw = drawsOf(1000 + n)
    const count = 3 + Math.floor(draw() * 5)
    const days = 3 + Math.floor(draw() * 3)
    const minutes = Array.from({ length: days }, () => [60, 90, 120, 150][Math.floor(draw() * 4)] ?? 60)
    const largest = Math.max(...minutes) - 30
    const tasks = Array.from({ length: count }, (_, i): Task => {
      const due = Math.floor(draw() * days)
      const need = i > 0 && draw() < 0.4 ? [`t${Math.floor(draw() * i)}`] : []
      return task(`t${i}`, {
        episode: `e${Math.floor(draw() * 3)}`,
        kind: draw() < 0.4 ? 'film' : 'edit',
        minutes: Math.min(largest, 15 + 15 * Math.floor(draw() * 5)),
        due: addDays(first, due),
        needs: need,
        ...(draw() < 0.8 ? { release: addDays(first, due) } : {}),
        ...(draw() < 0.2 ? { earliest: addDays(first, Math.floor(draw() * days)) } : {}),
        weight: draw() < 0.2 ? 3 : 1,
      })
    })
    const of: PlanFor = { tasks, first, minutes, pinned: [], setup: { film: 30 }, preferred: {} }
    const best = bruteForce(of)
    const planner = new Planner(of, n + 1)
    planner.improve(2500)
    const { score } = planner.plan
    expect([n, score.missed]).toEqual([n, best.missed])
    const worth = (s: Score) => 10_000 * s.missed + 500 * s.late + s.setup + s.ends / 100
    ratios.push((1 + worth(score)) / (1 + worth(best)))
  }
  expect(Math.min(...ratios)).toBeGreaterThanOrEqual(0.999)
  expect(ratios.reduce((s, r) => s + r, 0) / ratios.length).toBeLessThan(1.05)
})
