import { exampleAt, exampleEpisode, exampleRecords, exampleScript, exampleShow } from '../examples'
import type { Keyword } from '../records'
import { sameTopic, startFor, subjectOf, type Earlier } from './start'

const recipe = exampleRecords().recipes.get('recipe')
const keyword: Keyword = {
  id: 'k',
  show: 'show',
  words: 'steam bending wood',
  notes: '',
  createdAt: exampleAt,
  updatedAt: exampleAt,
}
const e = exampleEpisode({ title: 'Steaming oak ribs, in a sleeve', topics: ['Hulls'] })
const episode = {
  ...e,
  idea: { ...e.idea, premise: 'A plastic sleeve does it. The kettle is the slow part.' },
}
const earlier = (n: number, sections: Record<string, string[]>): Earlier => ({
  episode: exampleEpisode({ id: `p${n}` }),
  script: exampleScript(sections, `p${n}`),
  number: `#${n}`,
})
const past = [
  earlier(4, { Opening: ['', 'It broke. Then I laughed.'], 'What it costs': ['Ten.'] }),
  earlier(5, { Opening: ['Other.'], 'What it costs!': ['Six.'] }),
  earlier(6, { Opening: ['x'], Aside: ['y'] }),
]

function start(of: { earlier?: Earlier[]; titleLimit?: number } = {}) {
  if (!recipe) throw new Error('no recipe')
  return startFor({
    episode,
    show: exampleShow(),
    recipe,
    keywords: [keyword],
    earlier: past,
    release: '2026-12-10',
    titleLimit: 100,
    ...of,
  })
}

test('an outline from the recipe, with the premise, the keyword and how the likest episode began', () => {
  const { outline } = start()
  expect(outline.map((s) => s.title)).toEqual(recipe?.outline.map((s) => s.title))
  expect(outline[0]?.points).toContain('Say “steam bending wood” in the first breath.')
  expect(outline[0]?.example).toEqual({ number: '#4', text: 'It broke.' })
  expect(outline.flatMap((s) => s.points)).toContain('The kettle is the slow part.')
})

test('five titles under the outlet’s limit, two texts with the date, three hashtags', () => {
  const { titles, posts, hashtags } = start({ titleLimit: 30 })
  expect(new Set(titles).size).toBe(5)
  for (const t of titles) expect([...t].length).toBeLessThanOrEqual(30)
  expect(posts).toHaveLength(2)
  expect(posts[0]).toBe(
    'A plastic sleeve does it. Steaming oak ribs, in a sleeve. Thursday 10 December, 17:00, on Tern & Tiller.',
  )
  expect(hashtags).toEqual(['#SteamBendingWood', '#Hulls', '#TernTiller'])
  expect(start()).toEqual(start())
})

test('says which part most earlier ones had; not from fewer than three', () => {
  expect(start().lacking).toEqual([{ title: 'What it costs', had: 2, of: 3 }])
  expect(start({ earlier: past.slice(0, 2) }).lacking).toEqual([])
})

test('subjects and earlier episodes on a topic', () => {
  expect(subjectOf('The garboard, twice')).toBe('garboard')
  const out = (id: string, title: string, topics: string[]) =>
    exampleEpisode({ id, title, topics, phase: { kind: 'released', at: exampleAt } })
  expect(
    sameTopic(
      episode,
      [out('a', 'A keel', ['Hulls']), out('b', 'Oak ribs', ['Hulls']), out('c', 'Oak', ['Oars'])],
      5,
    ).map((x) => x.id),
  ).toEqual(['b', 'a'])
})
