import { readNotes, readWords } from './notes'

test('a pasted block becomes notes: times as people write them, marks for what is to be done', () => {
  const { notes, faults } = readNotes(
    [
      '0:09 - [x] Open on the weep, not the boat',
      '0:31 This is the pace, keep it',
      '',
      '[1:18] ! Take the wind out from under the voice',
      '1m38: [ ] Two seconds more of the weep',
      '00:02:14:12 !hold the bolt longer',
      '  and say why',
      '- 1:02:05 – the last one',
    ].join('\r\n'),
    '25',
  )
  expect(faults).toEqual([])
  expect(notes).toEqual([
    { at: 9, kind: 'to do', text: 'Open on the weep, not the boat', isDone: true },
    { at: 31, kind: 'remark', text: 'This is the pace, keep it' },
    { at: 78, kind: 'to do', text: 'Take the wind out from under the voice' },
    { at: 98, kind: 'to do', text: 'Two seconds more of the weep' },
    { at: 134.48, kind: 'to do', text: 'hold the bolt longer' },
    { at: 134.48, kind: 'remark', text: 'and say why' },
    { at: 3725, kind: 'remark', text: 'the last one' },
  ])
})

test('lines that cannot be read are said by their number, and the rest is read', () => {
  const { notes, faults } = readNotes('0:05 fine\n2:75 not a time\n3:00\n4:00 also fine', '25')
  expect(notes.map((n) => n.text)).toEqual(['fine', 'also fine'])
  expect(faults.map((f) => f.line)).toEqual([2, 3])
  expect(faults[0]?.sentence).toMatch(/2:75.*not a time/)
  expect(faults[1]?.sentence).toMatch(/no words/)
})

test('words without a time stand at the moment that is given; figures in them are no time', () => {
  expect(readNotes('3 coats are enough', '25', 61.5).notes).toEqual([
    { at: 61.5, kind: 'remark', text: '3 coats are enough' },
  ])
})

test('what is typed says of itself whether it is to be done', () => {
  expect(readWords('! hold it')).toEqual({ kind: 'to do', text: 'hold it' })
  expect(readWords('[ ] hold it')).toEqual({ kind: 'to do', text: 'hold it' })
  expect(readWords('[x] hold it')).toEqual({ kind: 'to do', text: 'hold it', isDone: true })
  expect(readWords(' hold it! ')).toEqual({ kind: 'remark', text: 'hold it!' })
})
