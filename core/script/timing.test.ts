import fc from 'fast-check'
import { exampleScript } from '../examples'
import { chaptersOf } from './chapters'
import { beatSeconds, countSentenceEnds, countWords, scriptFigures, scriptWritten } from './timing'

const pace = { camera: 150, voice: 160 }
const beat = (text: string, delivery: 'camera' | 'voice' = 'camera', hold = 0) => ({
  id: 'b',
  delivery,
  text,
  hold,
  cues: [],
})

describe('running time', () => {
  test('words are counted by the rules of Unicode', () => {
    expect(countWords('Don’t split a kräftig word, 384 nails.')).toBe(7)
    expect(countWords('  \n ')).toBe(0)
  })

  test('the quick way for plain text counts as the segmenter does', () => {
    const segmenter = new Intl.Segmenter('en', { granularity: 'word' })
    const bits = fc.constantFrom(
      'oak',
      'don’t',
      "it's",
      '384',
      '3.50',
      '1,200',
      'e.g.',
      'a',
      ' ',
      '. ',
      ', ',
      '-',
      '’',
      '"',
      '?',
      '…',
      '—',
      '(',
      ')',
      '\n',
      "'",
      '.',
      '0',
      'x',
    )
    fc.assert(
      fc.property(fc.array(bits, { maxLength: 25 }), (row) => {
        const text = row.join('')
        expect([text, countWords(text)]).toEqual([
          text,
          [...segmenter.segment(text)].filter((s) => s.isWordLike).length,
        ])
      }),
      { numRuns: 2000 },
    )
  })

  test('sentence ends are counted once each, and not inside a number', () => {
    expect(countSentenceEnds('It weeps. Does it?! “Yes.” It cost 3.50 then…')).toBe(4)
  })

  test('in plain text sentence ends are counted in one pass as the pattern for all scripts counts them', () => {
    const bits = fc.constantFrom('a', 'Yes', '4', ' ', '.', '!', '?', '…', '”', "'", ')', ',', '\n')
    fc.assert(
      fc.property(fc.array(bits, { maxLength: 25 }), (row) => {
        const text = row.join('')
        // A letter that is not plain sends the same text through the pattern.
        expect([text, countSentenceEnds(text)]).toEqual([text, countSentenceEnds(`ä ${text}`)])
      }),
      { numRuns: 2000 },
    )
  })

  test('a beat: words by the pace of its delivery, 0.35 s a sentence end, 0.8 s at its end, and its hold', () => {
    expect(beatSeconds(beat('One two three four five. Six seven eight nine ten.'), pace)).toBeCloseTo(
      (10 * 60) / 150 + 0.7 + 0.8,
    )
    expect(beatSeconds(beat('One two three four five. Six seven eight.', 'voice', 2), pace)).toBeCloseTo(
      3 + 0.7 + 0.8 + 2,
    )
    expect(beatSeconds(beat(''), pace)).toBe(0)
  })

  test('figures of a script add up', () => {
    const script = exampleScript({ Hook: ['One two.', ''], Body: ['Three four five.'] })
    const first = script.sections[0]?.beats[0]
    if (first)
      first.cues.push(
        { id: 'c1', kind: 'shot', text: 'Low', got: true },
        { id: 'c2', kind: 'shot', text: 'High', got: false },
      )
    const figures = scriptFigures(script, pace)
    expect(figures).toMatchObject({ words: 5, beats: 3, blank: 1, covered: 1 })
    expect(figures.sections[1]?.start).toBeCloseTo(figures.sections[0]?.seconds ?? 0)
    expect(figures.delivery.camera).toBeCloseTo(figures.seconds)
  })

  test('another pace or another script is counted anew; the same is not', () => {
    const script = exampleScript({ Hook: ['One two three four five.'], Body: ['Six.'] })
    const figures = scriptFigures(script, pace)
    expect(scriptFigures(script, pace)).toBe(figures)
    const slow = { camera: pace.camera / 2, voice: pace.voice / 2 }
    expect(scriptFigures(script, slow).seconds).toBeGreaterThan(figures.seconds)
    expect(scriptFigures(script, pace)).toEqual(figures)
    expect(scriptFigures({ ...script, sections: script.sections.slice(0, 1) }, pace).words).toBe(5)
    const cut = { starts: {}, length: 60 }
    const chapters = chaptersOf(script, cut, pace)
    expect(chaptersOf(script, cut, pace)).toBe(chapters)
    expect(chaptersOf(script, { ...cut, length: 120 }, pace).list[1]?.start).toBe(
      Math.round(((figures.sections[1]?.start ?? 0) * 120) / figures.seconds),
    )
  })

  test('a script is written when every section has words', () => {
    expect(scriptWritten(undefined)).toBe(false)
    expect(scriptWritten(exampleScript({}))).toBe(false)
    expect(scriptWritten(exampleScript({ Hook: ['Words.', ''], Body: ['…'] }))).toBe(false)
    expect(scriptWritten(exampleScript({ Hook: ['Words.', ''], Body: ['More'] }))).toBe(true)
  })

  test('more words never take less time', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('oak', 'bends', 'slowly.', 'Why?'), { maxLength: 40 }),
        (words) => {
          expect(beatSeconds(beat([...words, 'more'].join(' ')), pace)).toBeGreaterThanOrEqual(
            beatSeconds(beat(words.join(' ')), pace),
          )
        },
      ),
    )
  })
})
