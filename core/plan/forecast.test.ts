import { exampleAt, exampleStep } from '../examples'
import { addDays, dayNumber } from '../rhythm/days'
import { paceOf, pacesOf, prior } from './accuracy'
import { outlookOf } from './outlook'
import { forecast, type ForecastFor } from './forecast'
import type { Task } from './task'

const first = '2026-11-23'
const task = (id: string, fields: Partial<Task> = {}): Task => ({
  id,
  episode: 'e',
  kind: 'edit',
  minutes: 60,
  needs: [],
  split: true,
  weight: 1,
  release: addDays(first, 2),
  ...fields,
})
const of = (fields: Partial<ForecastFor>): ForecastFor => ({
  tasks: [],
  waits: new Map(),
  laid: [],
  first,
  minutes: Array.from({ length: 30 }, () => 60),
  paces: new Map(),
  lost: 0,
  setup: {},
  draws: 4000,
  seed: 's',
  ...fields,
})
/** How widely a ratio lies before anything is known: its own luck, and what is open of its kind's pace. */
const wide = prior.sigma * Math.sqrt(1 + 1 / prior.worth)
const exact = new Map([['edit' as const, { median: 1, sigma: 0, seen: 9 }]])
/** The normal distribution's share below z (Abramowitz and Stegun 7.1.26). */
function below(z: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(z)) / Math.SQRT2)
  const erf =
    1 -
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
      t *
      Math.exp(-(z * z) / 2)
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2
}

describe('the forecast', () => {
  test('without chance it is the plan: three hours at an hour a day end on the third day', () => {
    const [made] = forecast(of({ tasks: [task('a', { minutes: 180 })], paces: exact }))
    expect(made).toMatchObject({
      chance: 1,
      is: 'on track',
      p50: dayNumber(first) + 2,
      p90: dayNumber(first) + 2,
      last: 'a',
    })
    expect(forecast(of({ tasks: [task('a', { minutes: 181 })], paces: exact }))[0]).toMatchObject({
      chance: 0,
      is: 'unlikely',
    })
  })

  test('one step against its release is the log-normal by hand', () => {
    // Two hours planned, three there: it is made when the ratio is at most 1.5.
    const [made] = forecast(of({ tasks: [task('a', { minutes: 120 })] }))
    expect(made?.chance).toBeCloseTo(below((Math.log(1.5) - Math.log(prior.median)) / wide), 1.5)
    expect(
      Math.abs((made?.chance ?? 0) - below((Math.log(1.5) - Math.log(prior.median)) / wide)),
    ).toBeLessThan(0.03)
  })

  test('lost days by hand: three days needed of three, each lost one time in ten', () => {
    const [made] = forecast(of({ tasks: [task('a', { minutes: 180 })], paces: exact, lost: 0.1 }))
    expect(Math.abs((made?.chance ?? 0) - 0.9 ** 3)).toBeLessThan(0.03)
  })

  test('is the same by its seed, and another by another', () => {
    const tasks = [
      task('a', { minutes: 120 }),
      task('b', { episode: 'f', release: addDays(first, 6), needs: ['a'] }),
    ]
    expect(forecast(of({ tasks }))).toEqual(forecast(of({ tasks })))
    expect(forecast(of({ tasks, seed: 't' }))).not.toEqual(forecast(of({ tasks })))
  })

  test('chances rise with every hour added, draw by draw, and fall with none', () => {
    const tasks = [
      task('a', { minutes: 90 }),
      task('b', { minutes: 60, needs: ['a'] }),
      task('c', { episode: 'f', minutes: 120, release: addDays(first, 5) }),
    ]
    const chances = (more: number) =>
      forecast(
        of({ tasks, lost: 0.05, minutes: Array.from({ length: 30 }, (_, n) => 60 + (n === 1 ? more : 0)) }),
      ).map((o) => o.chance)
    let before = chances(0)
    for (const more of [15, 30, 60, 120]) {
      const now = chances(more)
      now.forEach((c, i) => {
        expect(c).toBeGreaterThanOrEqual(before[i] ?? 0)
      })
      before = now
    }
    expect(before[0]).toBeGreaterThan(chances(0)[0] ?? 1)
  })

  test('names the step that most often ends last, and waits on others', () => {
    const tasks = [task('edit', { minutes: 60 }), task('cover', { minutes: 0, kind: 'design' })]
    const [waiting] = forecast(of({ tasks, paces: exact, waits: new Map([['cover', 6]]) }))
    expect(waiting?.last).toBe('cover')
    const after = [
      task('cover', { minutes: 0, kind: 'design' }),
      task('check', { minutes: 10, needs: ['cover'] }),
    ]
    expect(forecast(of({ tasks: after, paces: exact, waits: new Map([['cover', 6]]) }))[0]?.last).toBe(
      'cover',
    )
    expect(Math.abs((waiting?.chance ?? 0) - (1 - Math.exp(-2 / 6)))).toBeLessThan(0.03)
    expect([...(waiting?.spread.values() ?? [])].reduce((a, b) => a + b, 0)).toBe(4000)
  })

  test('an hour of work in an hour: 0.39 of draws make it before anything is known, by the log-normal', () => {
    const [made] = forecast(
      of({ tasks: [task('a', { release: first })], minutes: [60, 0, 0], draws: 20_000 }),
    )
    expect(Math.abs((made?.chance ?? 0) - below(-Math.log(prior.median) / wide))).toBeLessThan(0.009)
    expect(below(-Math.log(prior.median) / wide)).toBeCloseTo(0.391, 3)
  })

  test('what is laid on a day is not done before it, and the rest flows round its room', () => {
    const day = (n: number) => addDays(first, n)
    const tasks = [
      task('film', { kind: 'film', minutes: 60, release: day(6) }),
      task('edit', { minutes: 60, needs: ['film'], release: day(6) }),
    ]
    const exactly = new Map([...exact, ['film' as const, { median: 1, sigma: 0, seen: 9 }]])
    const at = (laid: ForecastFor['laid'], more: Task[] = []) =>
      forecast(of({ tasks: [...tasks, ...more], laid, paces: exactly, draws: 50 }))
    expect(at([])[0]?.p50).toBe(dayNumber(first) + 1)
    const laid = [{ id: 'film', day: day(5), minutes: 60 }]
    expect(at(laid)[0]).toMatchObject({ p50: dayNumber(first) + 6, chance: 1 })
    // Another hour before it does not take its room; one more than there is goes behind it.
    const other = (minutes: number) => at(laid, [task('b', { episode: 'b', minutes, release: day(20) })])
    expect(other(300)[1]?.p50).toBe(dayNumber(first) + 4)
    expect(other(360)[1]?.p50).toBe(dayNumber(first) + 7)
  })

  test('work that is laid keeps its order and pushes what lies behind it, as far as it took longer', () => {
    // Ten days laid full: each piece takes a quarter longer, so that the n-th ends a quarter of n later.
    const tasks = Array.from({ length: 10 }, (_, n) =>
      task(`t${n}`, { episode: `e${n}`, release: addDays(first, 29) }),
    )
    const laid = tasks.map((t, n) => ({ id: t.id, day: addDays(first, n), minutes: 60 }))
    const longer = new Map([['edit' as const, { median: 1.25, sigma: 0, seen: 9 }]])
    const ends = forecast(of({ tasks, laid, paces: longer, draws: 50 })).map((o) => o.p50 - dayNumber(first))
    expect(ends).toEqual(tasks.map((_, n) => Math.ceil((n + 1) * 1.25) - 1))
  })

  test('what is left of an early block comes next, not behind the last one', () => {
    const day = (n: number) => addDays(first, n)
    const chance = (laid: ForecastFor['laid']) =>
      forecast(
        of({ tasks: [task('a', { release: day(3) })], laid, minutes: [60, 60, 60, 60], lost: 0.04 }),
      )[0]?.chance ?? 0
    const inTwo = chance([
      { id: 'a', day: day(1), minutes: 30 },
      { id: 'a', day: day(3), minutes: 30 },
    ])
    const inOne = chance([{ id: 'a', day: day(1), minutes: 60 }])
    // Only a lost third day cannot be made up for, 4 in 100.
    expect(inOne).toBeGreaterThan(0.95)
    expect(inTwo).toBeGreaterThan(0.9)
    // Nothing is done before the day on which it lies, though there is room.
    const exactly = { tasks: [task('a', { release: day(9) })], paces: exact }
    const laid = [1, 5].map((n) => ({ id: 'a', day: day(n), minutes: 30 }))
    expect(forecast(of({ ...exactly, laid }))[0]?.p50).toBe(dayNumber(first) + 5)
  })

  test('a step of a few minutes is not named as what decides', () => {
    const tasks = [task('cut', { minutes: 120 }), task('tags', { minutes: 5, needs: ['cut'], kind: 'admin' })]
    expect(forecast(of({ tasks }))[0]?.last).toBe('cut')
    expect(forecast(of({ tasks: [task('tags', { minutes: 5 })] }))[0]?.last).toBeUndefined()
  })

  test('a release beyond what is looked at is said to be so, with no chance', () => {
    const far = [task('a', { release: addDays(first, 30) })]
    expect(forecast(of({ tasks: far, minutes: Array.from({ length: 30 }, () => 0) }))[0]).toMatchObject({
      is: 'too far ahead',
      chance: 0,
    })
  })

  test('in words: on track from 80 %, tight from 50 %', () => {
    expect([0.8, 0.79, 0.5, 0.49].map(outlookOf)).toEqual(['on track', 'tight', 'tight', 'unlikely'])
  })
})

describe('pace', () => {
  const done = (minutes: number, logged: number) =>
    exampleStep({ id: `s${minutes}${logged}`, kind: 'edit', minutes, logged, doneAt: exampleAt })
  test('without anything done it is the prior', () => {
    expect(paceOf([])).toEqual({ median: expect.closeTo(1.15, 9), sigma: expect.closeTo(0.45, 9), seen: 0 })
  })
  test('worked: four edits that took twice their estimate pull the median halfway there', () => {
    const pace = paceOf([done(60, 120), done(30, 60), done(90, 180), done(10, 20)])
    expect(pace.median).toBeCloseTo(Math.sqrt(1.15 * 2), 9)
    expect(pace.seen).toBe(4)
    expect(paceOf([done(60, 0), { ...done(60, 120), doneAt: undefined }]).seen).toBe(0)
    expect(pacesOf([done(60, 120)]).get('edit')?.seen).toBe(1)
  })
})
