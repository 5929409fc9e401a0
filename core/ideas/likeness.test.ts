import fc from 'fast-check'
import { Guesser } from './guess'
import { likelySame, Likeness } from './likeness'
import { sharedWords, stem, termsOf } from './words'

const titles = [
  'Steaming oak ribs without a steam box',
  'Splicing what you can reach',
  'Sewing a lugsail on a hall floor',
  'Sharpening for people who hate it',
  'Making oars that balance',
  'Making dowels with a steel plate',
  'The bilge, and what it told me',
  'Building a shed for the price of a sail',
]

function filled(bodies = false): Likeness {
  const likeness = new Likeness()
  titles.forEach((head, i) => {
    likeness.put({
      id: `e${i}`,
      head,
      body: bodies ? `${head}. Bring a pencil and a lamp. ${titles[(i + 1) % titles.length] ?? ''}` : '',
    })
  })
  return likeness
}

test('words lose their endings, marks and what says nothing', () => {
  expect(termsOf('The Ribs, steamed: how I’m steaming a rib')).toEqual(['rib', 'steam', 'im', 'steam', 'rib'])
  expect(stem('planning')).toBe('plan')
  expect(stem('brass')).toBe('brass')
  expect(termsOf('Séance à Fécamp')).toEqual(['seanc', 'fecamp'])
  expect(sharedWords('Steaming oak Ribs', new Set(['rib', 'steam']))).toEqual(['steaming', 'ribs'])
})

describe('likeness', () => {
  test('finds what was made before, with the words both share; the same title passes the mark, another subject does not', () => {
    const likeness = filled(true)
    const [first] = likeness.like({ head: 'Steam an oak rib' })
    expect(first?.id).toBe('e0')
    expect(first?.words).toEqual(expect.arrayContaining(['steaming', 'oak', 'ribs']))
    expect(likeness.like({ head: 'Steaming oak ribs without a steam box' })[0]?.likeness).toBeGreaterThan(
      likelySame,
    )
    expect(likeness.like({ head: 'Anchors for a mud harbour' })).toEqual([])
    expect(likeness.like({ head: 'Making a mast' })[0]?.likeness).toBeLessThan(likelySame)
  })

  test('weighs the title more than the script', () => {
    const likeness = new Likeness()
    likeness.put({
      id: 'title',
      head: 'Tarring a rope',
      body: 'We walked along the quay and talked of the weather.',
    })
    likeness.put({
      id: 'script',
      head: 'An evening on the quay',
      body: 'Then I was tarring a rope, and it rained on the tent.',
    })
    likeness.put({ id: 'other', head: 'Oars', body: 'Spruce.' })
    const found = likeness.like({ head: 'Tarring a rope' })
    expect(found.map((f) => f.id)).toEqual(['title', 'script'])
    expect(found[0]?.likeness).toBeGreaterThan((found[1]?.likeness ?? 1) * 1.3)
  })

  test('forgets what was taken out, follows what was changed, leaves out what is asked to be', () => {
    const likeness = filled()
    expect(likeness.like({ head: 'lugsail' })[0]?.id).toBe('e2')
    likeness.remove('e2')
    expect(likeness.like({ head: 'lugsail' })).toEqual([])
    likeness.put({ id: 'e3', head: 'A lugsail after all', body: '' })
    expect(likeness.like({ head: 'lugsail' })[0]?.id).toBe('e3')
    expect(likeness.like({ head: 'hate sharpening' })).toEqual([])
    expect(likeness.like({ head: 'lugsail' }, 5, (id) => id === 'e3')).toEqual([])
  })

  test('is a cosine: between 0 and 1, 1 with itself', () => {
    const word = fc.constantFrom('oak', 'rib', 'sail', 'tar', 'rope', 'oar', 'keel', 'mast', 'tide', 'lamp')
    fc.assert(
      fc.property(
        fc.array(fc.array(word, { minLength: 1, maxLength: 6 }), { minLength: 2, maxLength: 12 }),
        (texts) => {
          const likeness = new Likeness()
          texts.forEach((words, i) => {
            likeness.put({ id: String(i), head: words.join(' '), body: '' })
          })
          texts.forEach((words, i) => {
            const found = likeness.like({ head: words.join(' ') }, texts.length)
            for (const f of found) {
              expect(f.likeness).toBeGreaterThanOrEqual(0)
              expect(f.likeness).toBeLessThanOrEqual(1)
            }
            expect(found[0]?.likeness).toBeCloseTo(1, 6)
            expect(found.filter((f) => f.likeness > 1 - 1e-9).map((f) => f.id)).toContain(String(i))
          })
        },
      ),
    )
  })
})

test('show and topic of a line are guessed from the words used before', () => {
  const guesser = new Guesser()
  for (const text of ['Steaming oak ribs', 'Planking with larch', 'The garboard plank'])
    guesser.learn({ show: 'boats', topics: ['Planking'], text })
  for (const text of ['Sewing a lugsail', 'A spar from a spruce', 'The sail needle'])
    guesser.learn({ show: 'boats', topics: ['Spars and sails'], text })
  for (const text of ['The ferry pilot', 'Lightship keeper on tape', 'Who paints the buoys'])
    guesser.learn({ show: 'talks', topics: ['Lights'], text })
  const guess = guesser.guess('needle for a torn sail')
  expect(guess.shows[0]?.show).toBe('boats')
  expect(guess.topics[0]).toMatchObject({ topic: 'Spars and sails', show: 'boats' })
  expect(guesser.guess('the pilot’s ferry').shows[0]?.show).toBe('talks')
  expect(guesser.guess('quantum chess')).toEqual({ shows: [], topics: [] })
})
