import { exampleScript } from '../examples'
import { chapterFaults, chaptersOf } from './chapters'
import { scriptFigures } from './timing'

const pace = { camera: 150, voice: 160 }
const rules = { least: 3, gap: 10 }
const long = 'One two three four five six seven eight nine ten. '.repeat(6)
const script = exampleScript({ Hook: [long], Body: [long, long], End: [long] })

describe('chapters', () => {
  test('come from the script’s estimate while nothing is typed, stretched to the edit’s length', () => {
    const plain = chaptersOf(script, { starts: {} }, pace)
    expect(plain.from).toBe('script')
    expect(plain.list.map((c) => c.title)).toEqual(['Hook', 'Body', 'End'])
    const whole = scriptFigures(script, pace).seconds
    const stretched = chaptersOf(script, { length: whole * 2, starts: {} }, pace)
    expect(Math.abs((stretched.list[1]?.start ?? 0) - 2 * (plain.list[1]?.start ?? 0))).toBeLessThanOrEqual(1)
  })

  test('come from the edit once a time is typed, those sections alone', () => {
    expect(chaptersOf(script, { length: 200, starts: { Hook: 0, End: 150.4 } }, pace)).toEqual({
      from: 'edit',
      list: [
        { start: 0, title: 'Hook' },
        { start: 150, title: 'End' },
      ],
      left: [],
    })
  })

  test('typed out of their order, or past the end, are left out and said', () => {
    const typed = (starts: Record<string, number>, length?: number) =>
      chaptersOf(script, { length, starts }, pace)
    expect(typed({ Hook: 0, Body: 60, End: 20 })).toEqual({
      from: 'edit',
      list: [
        { start: 0, title: 'Hook' },
        { start: 60, title: 'Body' },
      ],
      left: ['“End” at 0:20 does not come after “Body” at 1:00'],
    })
    expect(typed({ Hook: 0, Body: 60, End: 300 }, 200).left).toEqual([
      '“End” at 5:00 is past the end at 3:20',
    ])
  })

  test('a section without words makes none', () => {
    expect(
      chaptersOf(exampleScript({ Hook: [long], Blank: [''] }), { starts: {} }, pace).list.map((c) => c.title),
    ).toEqual(['Hook'])
    expect(chaptersOf(undefined, { starts: {} }, pace).from).toBe('nothing')
  })

  test('pass an outlet’s rules: first at 0:00, at least three, ten seconds each, rising', () => {
    const at = (...starts: number[]) => starts.map((start, i) => ({ start, title: `c${i}` }))
    expect(chapterFaults(at(0, 20, 60), rules, 90)).toEqual([])
    expect(chapterFaults(at(0, 20), rules, 90)).toEqual(['2 of the 3 chapters that are asked for'])
    expect(chapterFaults(at(5, 20, 60), rules, 90)).toEqual(['the first starts at 0:05, not at 0:00'])
    expect(chapterFaults(at(0, 20, 27), rules, 90)).toEqual(['“c1” has 7 s, less than 10 s'])
    expect(chapterFaults(at(0, 60, 20), rules, 90)[0]).toContain('does not stand before')
    expect(chapterFaults(at(0, 20, 60), rules, 65)).toEqual(['“c2” has 5 s, less than 10 s'])
  })
})
