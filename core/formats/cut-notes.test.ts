import fc from 'fast-check'
import { frameRates } from '../edit/frames'
import { refusalOf, valueOf } from '../examples'
import type { CutNote } from '../records'
import { notesCsv, notesEdl, notesMarkdown, notesText, notesVtt, readEdl, readNoteFile } from './cut-notes'
import { readTable } from './tables'

const noted = '2026-11-24T09:00:00.000Z'
const note = (id: string, at: number, fields: Partial<CutNote> = {}): CutNote => ({
  id,
  at,
  kind: 'to do',
  text: `Note ${id}`,
  asked: [1],
  noted,
  ...fields,
})
const cut = {
  number: 2,
  notes: [
    note('b', 134.48, { text: 'hold the bolt <longer> & longer', asked: [1, 2] }),
    note('a', 9, { done: noted, mine: true }),
    note('c', 31, { kind: 'remark', text: '=1+1, keep it' }),
  ],
}

test('plain text, a table and an edit decision list say the same when they are read again, at every rate', () => {
  const text = fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ,'"&<>;:-]{0,30}[a-z.]$/)
  const notes = fc.array(fc.record({ at: fc.nat(5000), text, todo: fc.boolean(), done: fc.boolean() }), {
    minLength: 1,
    maxLength: 12,
  })
  fc.assert(
    fc.property(fc.constantFrom(...frameRates), notes, (rate, rows) => {
      const of = {
        number: 1,
        notes: rows.map((r, i) =>
          note(`n${i}`, r.at, {
            text: r.text,
            kind: r.todo ? 'to do' : 'remark',
            ...(r.todo && r.done ? { done: noted } : {}),
          }),
        ),
      }
      const files = [
        ['notes.txt', notesText(of, rate)],
        ['notes.csv', notesCsv(of, rate)],
        ['notes.edl', notesEdl('Ribs', of, rate)],
      ] as const
      for (const [name, file] of files) {
        const read = valueOf(readNoteFile({ name, text: file, rate, length: 9000 }, readTable))
        expect(read.faults).toEqual([])
        const all = of.notes.toSorted((a, b) => a.at - b.at)
        expect(read.notes.map((n) => [n.kind, n.text, n.isDone ?? false])).toEqual(
          all.map((n) => [n.kind, n.text, n.done !== undefined]),
        )
        // To the frame, which a second may lie in the middle of.
        read.notes.forEach((n, i) => {
          expect(Math.abs(n.at - (all[i]?.at ?? 0))).toBeLessThan(0.05)
        })
      }
    }),
  )
})

test('a table for reading has times, whom it is for, and nothing that a spreadsheet would compute', () => {
  const rows = notesCsv(cut, '25').split('\r\n')
  expect(rows[0]).toBe('Time,Timecode,Kind,For,Done,Asked in cuts,Note')
  expect(rows[1]).toBe('0:09,00:00:09:00,to do,me,yes,1,Note a')
  expect(rows[2]).toContain("'=1+1")
  expect(rows[3]).toContain('00:02:14:12,to do,who cuts,no,1 2,')
})

test('subtitles stand four seconds or until the next, with what would be markup escaped', () => {
  const near = { number: 1, notes: [...cut.notes, note('d', 10.5), note('e', 10.5)] }
  expect(notesVtt(near).split('\n').slice(0, 10)).toEqual([
    'WEBVTT',
    '',
    '00:00:09.000 --> 00:00:10.500',
    '[x] Note a',
    '',
    '00:00:10.500 --> 00:00:14.500',
    '[ ] Note d',
    '[ ] Note e',
    '',
    '00:00:31.000 --> 00:00:35.000',
  ])
  expect(notesVtt(cut)).toContain('&lt;longer&gt; &amp; longer')
})

test('Markdown lists what is to be done to be ticked, with its history, and remarks below', () => {
  const said = notesMarkdown('Ribs', cut, '25')
  expect(said).toContain('- [x] 00:00:09:00 Note a')
  expect(said).toContain('- [ ] 00:02:14:12 hold the bolt <longer> & longer (asked in cuts 1, 2)')
  expect(said.indexOf('## Remarks')).toBeGreaterThan(said.indexOf('## To do'))
})

test('a list that begins at one hour is counted from there, unless the cut is that long', () => {
  const edl = 'TITLE: Cut\nFCM: NON-DROP FRAME\n* LOC: 01:00:02:00 RED     Hold it\n* LOC: 01:00:61:00 Bad'
  const read = valueOf(readEdl(edl, '25', 600))
  expect(read.notes).toEqual([{ at: 2, kind: 'to do', text: 'Hold it' }])
  expect(read.faults).toEqual([{ line: 4, sentence: expect.stringMatching(/59/) }])
  expect(valueOf(readEdl(edl, '25', 5000)).notes[0]?.at).toBe(3602)
  expect(refusalOf(readEdl('TITLE: Cut', '25'))).toMatch(/LOC/)
})

test('a table without a time or without words says which columns it has', () => {
  const wrong = readNoteFile({ name: 'x.csv', text: 'When,Said\n0:10,hm\n', rate: '25' }, readTable)
  expect(refusalOf(wrong)).toBe(
    'A table of notes has a column “Time” and a column “Note”. This one has “When”, “Said”.',
  )
  const partly = valueOf(
    readNoteFile(
      { name: 'x.csv', text: 'Time,Comment,Type\n0:10,hold,To do\n7:99,no\n', rate: '25' },
      readTable,
    ),
  )
  expect(partly.notes).toEqual([{ at: 10, kind: 'to do', text: 'hold' }])
  expect(partly.faults.map((f) => f.line)).toEqual([3])
})
