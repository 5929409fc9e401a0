import fc from 'fast-check'
import { refusalOf, valueOf } from '../examples'
import { readSubtitles, writeSpoken, writeSrt, writeVtt } from './subtitles'

test('SubRip and WebVTT come back as they went out, whatever is said', () => {
  const text = fc
    .stringMatching(/^[A-Za-z&<>éß,.!-][A-Za-z0-9 &éß,.!]{0,20}[a-z.]$/)
    .filter((t) => !t.includes('<') && !t.includes('--'))
  const row = fc.record({
    gap: fc.nat(4000),
    lasts: fc.integer({ min: 1, max: 5000 }),
    lines: fc.array(text, { minLength: 1, maxLength: 2 }),
  })
  fc.assert(
    fc.property(fc.array(row, { minLength: 1, maxLength: 20 }), (rows) => {
      let at = 0
      const captions = rows.map((r) => {
        const from = at + r.gap
        at = from + r.lasts
        return { from: from / 1000, to: at / 1000, text: r.lines.join('\n') }
      })
      for (const file of [
        writeSrt(captions),
        writeVtt(captions),
        `\uFEFF${writeSrt(captions).replaceAll('\n', '\r\n')}`,
      ])
        expect(valueOf(readSubtitles(file))).toEqual({ captions, faults: [] })
    }),
  )
})

test('what others write is read: voices, places, notes, short times; markup goes, what is only written so stays', () => {
  const vtt = [
    'WEBVTT - harbour',
    '',
    'NOTE made by hand',
    '',
    'STYLE',
    '::cue { color: red }',
    '',
    'first',
    '00:01.000 --> 00:03.500 align:start position:10%',
    '<v Ines Varga>It is <i>not</i> the tide,',
    'it is 3 &lt; 4',
    '',
    '01:00:00.25 --> 01:00:02.250',
    '{\\an8}the end',
  ].join('\n')
  expect(valueOf(readSubtitles(vtt)).captions).toEqual([
    { from: 1, to: 3.5, text: 'It is not the tide,\nit is 3 < 4' },
    { from: 3600.25, to: 3602.25, text: 'the end' },
  ])
})

test('a line whose times cannot be read is said, and the rest is read; a file without any is refused', () => {
  const read = valueOf(
    readSubtitles('1\n00:00:01,000 --> soon\nlost\n\n2\n00:00:03,000 --> 00:00:04,000\nkept\n'),
  )
  expect(read.captions.map((c) => c.text)).toEqual(['kept'])
  expect(read.faults).toEqual([{ line: 2, sentence: expect.stringMatching(/no two times/) }])
  expect(refusalOf(readSubtitles('just words'))).toMatch(/no subtitle/)
})

test('as plain text a pause is a paragraph', () => {
  const captions = [
    { from: 0, to: 2, text: 'One line,\nand another.' },
    { from: 2, to: 3, text: 'Then on.' },
    { from: 9, to: 10, text: 'After a while.' },
  ]
  expect(writeSpoken(captions)).toBe('One line, and another. Then on.\n\nAfter a while.\n')
})
