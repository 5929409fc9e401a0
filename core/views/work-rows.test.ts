import { exampleWorld, viewOf } from './example-cards'
import type { Card } from './card'
import { minutesLeft, nudged, sayLeft, workRows } from './work-rows'

const { cards } = viewOf(exampleWorld())
const none = () => undefined
const names = (rows: { name: string; cards: Card[] }[]) =>
  rows.map((g) => [g.name, g.cards.map((c) => c.title)] as const)

describe('all work in rows', () => {
  test('stands at the stage where it is, in the order of the trade, with a date or without', () => {
    const rows = workRows(cards, 'stage', false, none)
    const places = rows.map((g) => g.key)
    const trade = ['brief', 'script', 'film', 'edit', 'thumbnail', 'release', 'ready']
    expect(places).toEqual(trade.filter((k) => places.includes(k)))
    for (const { key, cards: mine, minutes } of rows) {
      for (const c of mine) expect(c.standing.ready ? 'ready' : c.standing.where?.stage.kind).toBe(key)
      expect(minutes).toBe(mine.reduce((s, c) => s + minutesLeft(c), 0))
    }
    expect(rows.flatMap((g) => g.cards)).toHaveLength(cards.length)
    expect(rows.flatMap((g) => g.cards).some((c) => c.standing.release === undefined)).toBe(true)
  })

  test('soonest first and without a date last; by hand as it was put', () => {
    const [rows] = workRows(cards, 'show', false, none)
    const releases = rows?.cards.map((c) => c.standing.release?.at ?? Infinity) ?? []
    expect(releases.length).toBeGreaterThan(2)
    expect([...releases].sort((a, b) => a - b)).toEqual(releases)
    const ranked = cards.map((c, i) => ({
      ...c,
      episode: { ...c.episode, idea: { ...c.episode.idea, rank: -i } },
    }))
    expect(workRows(ranked, 'show', true, none)[0]?.cards.map((c) => c.title)).toEqual(
      cards.map((c) => c.title).reverse(),
    )
  })

  test('by month, by kind, by topic and by whose move; what has none of it comes last, by name', () => {
    const months = workRows(cards, 'month', false, none).map((g) => g.name)
    expect(months.at(-1)).toBe('Without a date')
    expect(months).toContain('December')
    const [first] = cards
    const kinds = workRows(cards, 'form', false, (c) => (c === first ? 'talk' : undefined))
    expect(names(kinds).map(([n, row]) => [n, row.length])).toEqual([
      ['talk', 1],
      ['Of no kind', cards.length - 1],
    ])
    const topical = cards.map((c, i) => ({
      ...c,
      episode: { ...c.episode, topics: i === 0 ? ['Hulls', 'Oars'] : [] },
    }))
    expect(workRows(topical, 'topic', false, none).map((g) => g.name)).toEqual([
      'Hulls',
      'Oars',
      'Of no topic',
    ])
    expect(workRows(cards, 'move', false, none)[0]?.name).toBe('My move')
  })

  test('what is left is said against the hours given until the last of them goes out', () => {
    for (const { cards: mine, until } of workRows(cards, 'month', false, none)) {
      const days = mine.flatMap((c) => c.standing.release?.day ?? [])
      expect(until).toBe(days.sort().at(-1))
    }
    expect(sayLeft({ minutes: 90, until: '2026-12-03' }, 600)).toBe('1 h 30 left, 10 h given until Thu 3 Dec')
    expect(sayLeft({ minutes: 90, until: undefined }, 600)).toBe('1 h 30 left')
    expect(sayLeft({ minutes: 0, until: '2026-12-03' }, 600)).toBe('')
  })

  test('one goes a place up or down, and not beyond the end', () => {
    expect(nudged(['a', 'b', 'c'], 'b', -1)).toEqual(['b', 'a', 'c'])
    expect(nudged(['a', 'b', 'c'], 'b', 1)).toEqual(['a', 'c', 'b'])
    expect([nudged(['a', 'b'], 'a', -1), nudged(['a', 'b'], 'b', 1), nudged(['a'], 'x', 1)]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })
})
