import { exampleEpisode, exampleNow, exampleShow } from '../examples'
import { dayNumber } from './days'
import { framesOf } from './film'
import { dayAt } from './zone'

const work = { kind: 'work' as const, since: '2026-11-01T09:00:00.000Z' }

describe('the film of a show', () => {
  const released = exampleEpisode({
    id: 'out',
    phase: { kind: 'released', at: '2026-11-19T17:00:00.000Z' },
    place: { kind: 'slot', day: '2026-11-19' },
  })
  const placed = exampleEpisode({ id: 'next', phase: work, place: { kind: 'slot', day: '2026-11-26' } })
  const frames = framesOf(
    exampleShow({ skipped: ['2026-12-24'] }),
    [released, placed],
    '2026-11-10',
    '2026-12-31',
    exampleNow,
  )

  test('has exposed, filled, open and skipped frames in the order of release', () => {
    expect(frames.map((f) => [f.day, f.kind])).toEqual([
      ['2026-11-19', 'exposed'],
      ['2026-11-26', 'filled'],
      ['2026-12-03', 'open'],
      ['2026-12-10', 'open'],
      ['2026-12-17', 'open'],
      ['2026-12-24', 'skipped'],
      ['2026-12-31', 'open'],
    ])
  })

  test('is true to time: a frame reaches from the release before to its own', () => {
    expect(frames[1]).toMatchObject({ from: dayNumber('2026-11-20'), to: dayNumber('2026-11-26') })
    expect(frames[6]).toMatchObject({ from: dayNumber('2026-12-25'), to: dayNumber('2026-12-31') })
  })

  test('joins open frames in a row into leader', () => {
    expect(frames.slice(2, 5).map((f) => f.run)).toEqual(
      [0, 1, 2].map((index) => ({ index, length: 3, last: '2026-12-17' })),
    )
    expect(frames[6]?.run).toBeUndefined()
  })

  test('keeps an overdue episode until it is answered for, and drops open slots that have passed', () => {
    const later = Date.parse('2026-12-04T09:00:00Z')
    const then = framesOf(exampleShow(), [placed], '2026-11-20', '2026-12-12', later)
    expect(then.map((f) => [f.day, f.kind])).toEqual([
      ['2026-11-26', 'filled'],
      ['2026-12-10', 'open'],
    ])
  })

  test('two releases on one day both have a frame of at least a day', () => {
    const extra = exampleEpisode({
      id: 'extra',
      phase: work,
      place: { kind: 'own', day: '2026-11-26', time: '09:00' },
    })
    const two = framesOf(exampleShow(), [placed, extra], '2026-11-24', '2026-11-26', exampleNow)
    expect(two.map((f) => f.to - f.from + 1)).toEqual([7, 1])
  })
})

test.each(['Pacific/Kiritimati', 'Pacific/Pago_Pago', 'Europe/Lisbon'])(
  'a release belongs to its day in %s, to the hour',
  (zone) => {
    const show = exampleShow({ zone })
    const hours = Array.from(
      { length: 24 * 12 },
      (_, i) => Date.parse('2026-11-10T00:30:00Z') + i * 3_600_000,
    )
    const all = hours.map((at, i) =>
      exampleEpisode({ id: `e${i}`, phase: { kind: 'released', at: new Date(at).toISOString() } }),
    )
    const within = hours.filter((at) => {
      const day = dayAt(at, zone)
      return day >= '2026-11-13' && day <= '2026-11-18'
    })
    const frames = framesOf(show, all, '2026-11-13', '2026-11-18', exampleNow)
    expect(frames.filter((f) => f.kind === 'exposed').map((f) => f.at)).toEqual(within)
    expect(within).toHaveLength(6 * 24)
  },
)
