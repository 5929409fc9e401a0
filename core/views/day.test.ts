import type { StepKind } from '../records'
import { dayFigures, inDayOrder, joinedBlocks } from './day'

const day = '2026-11-25'
const hours = { hours: [240, 240, 240, 240, 240, 0, 0], daysOff: [] }

describe('the figures of a day', () => {
  test('139 of 240 minutes worked leave 101; what is laid beyond them is over', () => {
    const worked = new Map([[day, 139]])
    const of = (laid: number) => dayFigures({ ...hours, worked }, new Map([[day, laid]]), day)
    expect(of(60)).toMatchObject({ whole: 240, worked: 139, planned: 60, left: 101, free: 41, over: 0 })
    expect(of(120)).toMatchObject({ left: 101, free: 0, over: 19 })
  })

  test('what standing work and busy time take is gone before anything is laid, and counts in what is over', () => {
    const taken = new Map([[day, 90]])
    const of = (laid: number) => dayFigures({ ...hours, taken }, new Map([[day, laid]]), day)
    expect(of(100)).toMatchObject({ taken: 90, left: 150, free: 50, over: 0 })
    expect(of(200)).toMatchObject({ free: 0, over: 50 })
  })
})

describe('the order in a day', () => {
  const block = (
    step: string,
    more: { needs?: string[]; at?: string; place?: number; work?: StepKind; episode?: string } = {},
  ) => ({
    step,
    needs: [],
    work: 'write' as const,
    episode: 'a',
    ...more,
  })

  test('is by clock time, then as laid by hand, then as planned', () => {
    const row = [block('plan'), block('hand', { place: 1 }), block('guest', { at: '15:00' })]
    expect(inDayOrder(row).map((b) => b.step)).toEqual(['guest', 'hand', 'plan'])
  })

  test('is by kind where nothing was laid by hand, and within a kind by episode', () => {
    const row = [
      block('a write'),
      block('a cut', { work: 'edit' }),
      block('b write', { episode: 'b' }),
      block('b cut', { work: 'edit', episode: 'b' }),
      block('a title'),
    ]
    expect(inDayOrder(row).map((b) => b.step)).toEqual(['a write', 'a title', 'b write', 'a cut', 'b cut'])
    // What is needed is not passed for the sake of the kind.
    const needed = [
      block('script'),
      block('film', { work: 'film', needs: ['script'] }),
      block('after', { needs: ['film'] }),
    ]
    expect(inDayOrder(needed).map((b) => b.step)).toEqual(['script', 'film', 'after'])
  })

  test('what is needed comes first all the same', () => {
    const row = [block('edit', { place: 1, needs: ['film'] }), block('film', { place: 2 })]
    expect(inDayOrder(row).map((b) => b.step)).toEqual(['film', 'edit'])
  })
})

test('blocks of the same work on one day are one block', () => {
  const block = (minutes: number, fixed: boolean) => ({ id: 'film', day, minutes, fixed })
  expect(joinedBlocks([block(60, false), block(30, true)])).toEqual([block(90, true)])
})
