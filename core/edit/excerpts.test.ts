import fc from 'fast-check'
import type { Caption } from '../records'
import { excerptLimits, proposeExcerpts } from './excerpts'

const brief = { points: ['Wet oak bends cold', '', ''], takeaway: '' }
/** Sentences one after the other, so many seconds each. */
const said = (texts: readonly string[], each = 10): Caption[] =>
  texts.map((text, i) => ({ from: i * each, to: (i + 1) * each - 0.2, text }))

test('the passage that makes a point is proposed first, with the point and the words that carry', () => {
  const [first, ...rest] = proposeExcerpts(
    said([
      'Morning at the slip.',
      'The gulls were up before me.',
      'I had coffee and looked about.',
      'Wet oak bends cold, if the oak is green.',
      'Green oak gives; dry oak snaps.',
      'Bend the oak slowly and hold it.',
      'Leave it cold overnight.',
      'Then I went home.',
      'My neighbour waved.',
    ]),
    brief,
    'Ribs',
  )
  expect(first?.point).toBe('Wet oak bends cold')
  expect(first?.words).toContain('oak')
  expect(first?.text).toContain('Wet oak bends cold')
  for (const other of rest) expect(other.score).toBeLessThanOrEqual(first?.score ?? 0)
})

test('none begins with a sentence that leans on the one before, or cuts a sentence in two', () => {
  const captions = said([
    'It was cold.',
    'And wet.',
    'The oak',
    'bends when it is green.',
    'So it holds.',
    'The end comes.',
  ])
  for (const p of proposeExcerpts(captions, brief, '')) {
    expect(p.text).toMatch(/^The (oak|end)/)
    expect(p.text).toMatch(/\.$/)
  }
})

test('too little said gives none; nothing at all neither', () => {
  expect(proposeExcerpts(said(['Oak bends.', 'It holds.']), brief, '')).toEqual([])
  expect(proposeExcerpts([], brief, '')).toEqual([])
})

test('whatever is said, those proposed last 30 to 60 seconds, stand in the transcript, and do not overlap', () => {
  const words = fc.constantFrom('oak', 'And', 'bends', 'cold.', 'green!', 'holds', 'The', 'tide?')
  const caption = fc.record({
    text: fc.array(words, { minLength: 1, maxLength: 6 }),
    lasts: fc.integer({ min: 1, max: 14 }),
  })
  let some = 0
  fc.assert(
    fc.property(fc.array(caption, { minLength: 20, maxLength: 60 }), (list) => {
      let at = 0
      const captions = list.map(({ text, lasts }): Caption => {
        const from = at
        at += lasts
        return { from, to: at, text: text.join(' ') }
      })
      const all = proposeExcerpts(captions, brief, 'Cold oak')
      some += all.length
      for (const p of all) {
        expect(p.to - p.from).toBeGreaterThanOrEqual(excerptLimits.least)
        expect(p.to - p.from).toBeLessThanOrEqual(excerptLimits.most)
        expect(captions.some((c) => c.from === p.from)).toBe(true)
        expect(captions.some((c) => c.to === p.to)).toBe(true)
      }
      const row = [...all].sort((a, b) => a.from - b.from)
      row.forEach((p, i) => {
        expect(p.from).toBeGreaterThanOrEqual(row[i - 1]?.to ?? 0)
      })
    }),
  )
  expect(some).toBeGreaterThan(60)
})
