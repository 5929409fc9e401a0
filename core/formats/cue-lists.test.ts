import Papa from 'papaparse'
import { exampleScript } from '../examples'
import { cueCsv, cueMarkdown, cuesOfKinds } from './cue-lists'

const script = exampleScript({ Hook: ['The plane, the wind.'] })
for (const s of script.sections)
  for (const b of s.beats)
    b.cues = [
      { id: 'a', kind: 'shot', text: '=SUM(A1), low', got: true, from: 4, to: 9 },
      {
        id: 'b',
        kind: 'sound',
        text: 'Wind',
        got: false,
        source: 'A. Reed',
        licence: 'CC BY',
        from: 15,
        to: 19,
      },
      { id: 'c', kind: 'upload', text: 'Number 31', got: false, place: 'card' },
    ]

test('a table has every cue with its words, and nothing that a spreadsheet would compute', () => {
  const read = Papa.parse<string[]>(cueCsv(cuesOfKinds(script, ['shot', 'sound'])).trim()).data
  expect(read).toEqual([
    ['Number', 'Kind', 'What', 'Section', 'Words', 'Done', 'Source', 'Licence', 'Place'],
    ['1', 'to film', "'=SUM(A1), low", 'Hook', 'plane', 'yes', '', '', ''],
    ['2', 'sound or music', 'Wind', 'Hook', 'wind', 'no', 'A. Reed', 'CC BY', ''],
  ])
})

test('Markdown has a list to tick for each kind that there is', () => {
  const kinds = ['upload', 'sound', 'edit'] as const
  expect(cueMarkdown('An oar', cuesOfKinds(script, kinds), kinds)).toBe(
    '# An oar\n\n## For the upload\n\n- [ ] 3. Number 31 (Hook, info card)\n\n## Sound and music\n\n- [ ] 2. Wind (Hook, A. Reed, CC BY)\n',
  )
})
