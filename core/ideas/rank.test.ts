import { exampleAt, exampleEpisode, exampleNow, exampleRecords, exampleShow } from '../examples'
import { freshWeights, type Episode, type Idea, type Keyword, type Weights } from '../records'
import { addDays } from '../rhythm/days'
import { dayAt } from '../rhythm/zone'
import { balanceOf } from './balance'
import { coverOf, isOld, opportunitiesIn, roughOpportunity, sayOpportunity } from './opportunity'
import { rankIdeas, type RankFor } from './rank'
import { backlogOf, isUnsorted } from './usable'

const today = dayAt(exampleNow, 'Europe/Lisbon')
const show = exampleShow({
  topics: [
    { name: 'Hulls', share: 0.5 },
    { name: 'Sails', share: 0.5 },
  ],
})
const idea = (id: string, fields: Partial<Episode> = {}, known: Partial<Idea> = {}): Episode => {
  const e = exampleEpisode({ id, title: id, ...fields })
  return { ...e, idea: { ...e.idea, ...known } }
}
const released = (id: string, weeks: number, topics: string[]) =>
  idea(id, {
    phase: { kind: 'released', at: new Date(exampleNow - weeks * 7 * 86_400_000).toISOString() },
    topics,
  })
const keyword = (fields: Partial<Keyword>): Keyword => ({
  id: 'k',
  show: 'show',
  words: 'steam bending',
  notes: '',
  createdAt: exampleAt,
  updatedAt: exampleAt,
  ...fields,
})

/** Eight hull episodes, the last sail twelve weeks ago: sails are starved. */
const past = [
  ...[1, 2, 3, 4, 5, 6, 7, 8].map((w) => released(`hull${w}`, w, ['Hulls'])),
  released('sail', 12, ['Sails']),
]

function ranking(ideas: Episode[], of: Partial<RankFor> = {}, weights: Partial<Weights> = {}) {
  const recipe = exampleRecords().recipes.get('recipe')
  return rankIdeas({
    show,
    recipe,
    day: '2026-12-10',
    today,
    episodes: [...past, ...ideas],
    multiples: new Map([
      ['sail', 2],
      ['hull1', 1],
      ['hull2', 0.5],
      ['hull3', 0.5],
    ]),
    keywords: new Map(),
    settings: { weights: { ...freshWeights, ...weights }, away: {} },
    free: 1200,
    ...of,
  })
}

describe('opportunity', () => {
  test('worked: under eight keywords roughly, 100 · d · (1 − c), both cut to 0–1', () => {
    expect(roughOpportunity({ searches: 9999, competing: 9999 })).toBeCloseTo(100 * (4 / 6) * (1 - 4 / 8), 6)
    expect(roughOpportunity({ searches: 0, competing: 0 })).toBe(0)
    expect(roughOpportunity({ searches: 5_000_000, competing: 0 })).toBe(100)
    expect(roughOpportunity({ searches: 1000, competing: 500_000_000 })).toBe(0)
    const few = new Map([
      ['k', keyword({ searches: 9999, competing: 9999 })],
      ['l', keyword({ id: 'l', searches: 1000 })],
    ])
    expect([...opportunitiesIn(few).keys()]).toEqual(['k'])
    expect(sayOpportunity(opportunitiesIn(few).get('k') ?? { value: 0 })).toBe(
      'an opportunity of 33, roughly',
    )
  })
  test('worked: eight keywords of a show are told apart by each other', () => {
    const rows: [string, number, number, number][] = [
      ['spiling planks', 320, 6_800, 43],
      ['pine tar finish', 2_900, 140_000, 93],
      ['tarred rope', 880, 46_000, 36],
      ['bowsprit', 6_600, 490_000, 71],
      ['mud anchor', 480, 12_000, 43],
      ['boat trestle plans', 590, 15_000, 64],
      ['copper rivets boat', 720, 24_000, 36],
      ['oak or larch', 210, 4_100, 14],
    ]
    const all = new Map(
      rows.map(([id, searches, competing]) => [id, keyword({ id, words: id, searches, competing })]),
    )
    // Those of another show are not among them.
    all.set('other', keyword({ id: 'other', show: 'talks', searches: 1, competing: 1 }))
    const found = opportunitiesIn(all)
    expect(rows.map(([id]) => Math.round(found.get(id)?.value ?? -1))).toEqual(rows.map(([, , , o]) => o))
    expect(found.get('other')?.times).toBeUndefined()
    expect(sayOpportunity(found.get('pine tar finish') ?? { value: 0 })).toMatch(
      /^searched 1\.\d times as much as keywords with as many results$/,
    )
    expect(opportunitiesIn(all)).toBe(found)
  })
  test('old after half a year, or without a date; what is made covers it, what is planned plans it', () => {
    expect(isOld(keyword({ searches: 1, measured: addDays(today, -181) }), today)).toBe(true)
    expect(isOld(keyword({ searches: 1, measured: addDays(today, -180) }), today)).toBe(false)
    expect(isOld(keyword({}), today)).toBe(false)
    const on = { keywords: ['k'] }
    expect(coverOf(new Map([['k', keyword({})]]), [idea('a', {}, on)], today)[0]?.is).toBe('planned')
    expect(
      coverOf(
        new Map([['k', keyword({})]]),
        [idea('a', {}, on), { ...released('b', 3, []), idea: idea('b', {}, on).idea }],
        today,
      )[0]?.is,
    ).toBe('covered')
    expect(
      coverOf(
        new Map([['k', keyword({})]]),
        [idea('a', { phase: { kind: 'dropped', why: '' } }, on)],
        today,
      )[0]?.is,
    ).toBe('open')
  })
})

describe('ranking for a slot', () => {
  test('leads with what speaks for it: a starved topic, its weeks said', () => {
    const { ranked } = ranking([
      idea('hull', { topics: ['Hulls'] }),
      idea('sails', { topics: ['Sails'] }),
      idea('plain'),
    ])
    expect(ranked.map((r) => r.episode.id)).toEqual(['sails', 'plain', 'hull'])
    expect(ranked[0]?.reason).toBe('12 weeks since Sails')
  })
  test('worked: with one weight alone the score is that part', () => {
    const none = { demand: 0, need: 0, past: 0, fit: 0, rating: 0, spacing: 0, occasion: 0 }
    const one = (weights: Partial<Weights>, e: Episode, of: Partial<RankFor> = {}) =>
      ranking([e], of, { ...none, ...weights }).ranked[0]?.score
    expect(one({ rating: 7 }, idea('a', {}, { rating: 4 }))).toBeCloseTo(75)
    expect(one({ past: 1 }, idea('a', { topics: ['Sails'] }))).toBeCloseTo(100)
    expect(one({ past: 1 }, idea('a', { topics: ['Hulls'] }))).toBeCloseTo(0)
    expect(one({ fit: 1 }, idea('a', {}, { effort: 600 }))).toBeCloseTo(62.5)
    expect(
      one({ demand: 1 }, idea('a', {}, { keywords: ['k'] }), {
        keywords: new Map([['k', keyword({ searches: 9999, competing: 9999 })]]),
      }),
    ).toBeCloseTo(200 / 3)
    expect(one({ spacing: 1 }, idea('a', { topics: ['Hulls'] }))).toBe(0)
    expect(one({ spacing: 1 }, idea('a', { topics: ['Sails'] }))).toBe(100)
    expect(
      one(
        { occasion: 1 },
        idea('a', {}, { occasion: { kind: 'launch', name: 'the regatta', day: '2026-12-15', lead: 7 } }),
      ),
    ).toBe(100)
    expect(one({}, idea('a'))).toBe(50)
  })
  test('the order moves with the weights', () => {
    const ideas = [idea('loved', {}, { rating: 5 }), idea('sails', { topics: ['Sails'] })]
    expect(ranking(ideas, {}, { rating: 0 }).ranked[0]?.episode.id).toBe('sails')
    expect(ranking(ideas, {}, { rating: 100, need: 0, past: 0, spacing: 0 }).ranked[0]?.episode.id).toBe(
      'loved',
    )
  })
  test('what cannot be is listed apart with its reason', () => {
    const { ranked, ruled } = ranking(
      [
        idea('stale', { nature: { kind: 'topical', staleAfter: '2026-12-01' } }),
        idea('early', { nature: { kind: 'topical', notBefore: '2027-01-01' } }),
        idea('guest', { guests: ['Ines Varga'] }),
        idea('long', {}, { effort: 1300 }),
        idea('resting', {}, { restUntil: '2027-01-01' }),
        idea('someday', {}, { standing: 'someday' }),
        idea('fine', { nature: { kind: 'topical', notBefore: '2026-12-10', staleAfter: '2026-12-10' } }),
      ],
      {
        settings: {
          weights: freshWeights,
          away: { 'Ines Varga': [{ from: '2026-12-01', to: '2026-12-08' }] },
        },
      },
    )
    expect(ranked.map((r) => r.episode.id)).toEqual(['fine'])
    expect(Object.fromEntries(ruled.map((r) => [r.episode.id, r.why]))).toMatchObject({
      stale: 'stale after Tue 1 Dec',
      early: 'not before Fri 1 Jan',
      guest: expect.stringContaining('Ines Varga is not free from Tue 1 Dec to Tue 8 Dec'),
      long: 'takes 21.5 h; 20 h are free before it',
      resting: 'rests until Fri 1 Jan',
      someday: 'put off to some day',
    })
  })
})

test('balance counts the last twelve and the next twelve, and says what is starved and crowded', () => {
  const planned = idea('next', {
    phase: { kind: 'work', since: exampleAt },
    place: { kind: 'slot', day: '2026-12-10' },
    topics: ['Sails', 'Hulls'],
  })
  const balance = balanceOf(show, [...past, planned], today)
  expect(balance).toMatchObject({ past: 9, next: 1 })
  const sails = balance.topics.find((t) => t.topic === 'Sails')
  expect(sails?.share).toBeCloseTo((1 + 0.5) / 10)
  expect(balance.sentences).toContainEqual({
    topic: 'Sails',
    kind: 'starved',
    text: 'Sails are starved: 1 of the last 12, 1 planned.',
  })
  expect(balance.sentences.find((s) => s.topic === 'Hulls')?.kind).toBe('crowded')
  const never = balanceOf(exampleShow({ topics: [{ name: 'Oars', share: 0.3 }] }), past, today)
  expect(never.sentences[0]?.text).toBe('Oars are starved: none yet.')
})

test('the backlog is said in weeks: ideas that could be placed, at the rhythm', () => {
  const ideas = [
    idea('a'),
    idea('b'),
    idea('c', {}, { standing: 'someday' }),
    idea('d', {}, { restUntil: '2027-01-01' }),
    idea('e', { nature: { kind: 'topical', staleAfter: '2026-11-01' } }),
  ]
  expect(backlogOf(show, ideas, today)).toMatchObject({
    ideas: 2,
    weeks: 2,
    thin: true,
    without: '2026-12-10',
  })
  expect(
    backlogOf({ ...show, rhythm: { ...show.rhythm, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TH' } }, ideas, today)
      .weeks,
  ).toBeGreaterThanOrEqual(3)
  expect(
    backlogOf(
      show,
      Array.from({ length: 8 }, (_, i) => idea(`i${i}`)),
      today,
    ).thin,
  ).toBe(false)
})

test('an idea back from its rest waits to be sorted again', () => {
  expect(isUnsorted(idea('a', {}, { standing: 'unsorted', restUntil: addDays(today, 1) }), today)).toBe(false)
  expect(isUnsorted(idea('a', {}, { standing: 'unsorted', restUntil: today }), today)).toBe(true)
  expect(isUnsorted(idea('a', {}, { standing: 'promising' }), today)).toBe(false)
})
