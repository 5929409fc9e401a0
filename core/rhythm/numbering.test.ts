import fc from 'fast-check'
import { exampleEpisode, exampleNow, exampleShow } from '../examples'
import type { Episode } from '../records'
import { addDays } from './days'
import { codeFor, isNumberedAlike, numbersOf, sayNumber } from './numbering'

const work = { kind: 'work' as const, since: '2026-11-01T09:00:00.000Z' }
const on = (id: string, day: string, fields: Partial<Episode> = {}) =>
  exampleEpisode({ id, place: { kind: 'slot', day }, phase: work, ...fields })

describe('numbers', () => {
  test('follow the order of release, open slots counting', () => {
    const numbers = numbersOf(
      exampleShow({ nextNumber: 42 }),
      [on('late', '2026-12-10'), on('soon', '2026-11-26')],
      exampleNow,
    )
    expect(numbers.episodes.get('soon')).toBe(42)
    expect(numbers.open.get('2026-12-03')).toBe(43)
    expect(numbers.episodes.get('late')).toBe(44)
    expect(numbers.open.get('2026-12-17')).toBe(45)
  })

  test('a skipped slot takes none', () => {
    const numbers = numbersOf(
      exampleShow({ nextNumber: 42, skipped: ['2026-11-26'] }),
      [on('a', '2026-12-03')],
      exampleNow,
    )
    expect(numbers.episodes.get('a')).toBe(42)
  })

  test('one that is released or in a kit keeps its own, the others pass it by', () => {
    const out = exampleEpisode({
      id: 'out',
      number: 41,
      phase: { kind: 'released', at: '2026-11-19T17:00:00.000Z' },
      place: { kind: 'slot', day: '2026-11-19' },
    })
    const numbers = numbersOf(
      exampleShow({ nextNumber: 41 }),
      [out, on('a', '2026-11-26'), on('kit', '2026-12-10', { number: 42 })],
      exampleNow,
    )
    expect(numbers.episodes.get('out')).toBe(41)
    expect(numbers.episodes.get('kit')).toBe(42)
    expect(numbers.episodes.get('a')).toBe(43)
  })

  test('without a slot there is no number, and the permanent code is shown', () => {
    const show = exampleShow()
    const idea = exampleEpisode()
    expect(numbersOf(show, [idea], exampleNow).episodes.get('episode')).toBeUndefined()
    expect(sayNumber(show, undefined, idea.code)).toBe(idea.code)
    expect(sayNumber(exampleShow({ prefix: 'HH ' }), 19, idea.code)).toBe('HH 19')
  })

  test('are different, rise with release order, and leave fixed ones alone', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            week: fc.integer({ min: 0, max: 30 }),
            fixed: fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined }),
          }),
          { selector: (e) => e.week, maxLength: 12 },
        ),
        (list) => {
          const used = new Set<number>()
          const episodes = list.map(({ week, fixed }) => {
            const number = fixed !== undefined && !used.has(fixed) ? fixed : undefined
            if (number !== undefined) used.add(number)
            return on(`e${week}`, addDays('2026-11-26', week * 7), number === undefined ? {} : { number })
          })
          const { episodes: numbers } = numbersOf(exampleShow(), episodes, exampleNow)
          expect(new Set(numbers.values()).size).toBe(episodes.length)
          for (const e of episodes) if (e.number !== undefined) expect(numbers.get(e.id)).toBe(e.number)
          const free = episodes
            .filter((e) => e.number === undefined)
            .sort((a, b) => Number(a.id.slice(1)) - Number(b.id.slice(1)))
            .map((e) => numbers.get(e.id) ?? 0)
          expect(free).toEqual([...free].sort((a, b) => a - b))
        },
      ),
    )
  })
})

describe('rows that are numbered alike', () => {
  const row = ['2026-12-03', '2026-12-10', '2026-12-17'].map((day, i) =>
    exampleEpisode({
      id: `e${i}`,
      phase: { kind: 'work', since: '2026-11-01T00:00:00.000Z' },
      place: { kind: 'slot', day },
    }),
  )
  test('are so whatever is typed into them, and get the same numbers', () => {
    const typed = row.map((e, i) => (i === 1 ? { ...e, title: 'Another', tags: ['oak'] } : e))
    expect(isNumberedAlike(typed, row)).toBe(true)
    expect(numbersOf(exampleShow(), typed, exampleNow)).toEqual(numbersOf(exampleShow(), row, exampleNow))
  })

  test.each<[string, (row: Episode[]) => Episode[]]>([
    ['one is placed elsewhere', ([a, ...rest]) => (a ? [{ ...a, place: { kind: 'nothing' } }, ...rest] : [])],
    ['one goes out', ([a, ...rest]) => (a ? [{ ...a, phase: { kind: 'idea' } }, ...rest] : [])],
    ['one has its number fixed', ([a, ...rest]) => (a ? [{ ...a, number: 9 }, ...rest] : [])],
    ['one is gone', ([, ...rest]) => rest],
    ['one is another', ([a, ...rest]) => (a ? [{ ...a, id: 'x' }, ...rest] : [])],
  ])('are not where %s', (_what, change) => {
    expect(isNumberedAlike(change(row), row)).toBe(false)
  })
})

describe('codes', () => {
  test('are four letters or digits, the same for the same id', () => {
    expect(codeFor('abc', new Set())).toMatch(/^[2-9A-HJ-NP-Z]{4}$/)
    expect(codeFor('abc', new Set())).toBe(codeFor('abc', new Set()))
  })

  test('never meet one that is taken', () => {
    const taken = new Set<string>()
    for (let i = 0; i < 3000; i++) {
      const code = codeFor(`id ${i}`, taken)
      expect(taken.has(code)).toBe(false)
      taken.add(code)
    }
  })
})
