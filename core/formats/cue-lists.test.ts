import Papa from 'papaparse'
import { exampleScript } from '../examples'
import { cueCsv, cueMarkdown, cuesOfKinds } from './cue-lists'

const take = { id: 't', at: '2026-11-24T09:00:00.000Z', seconds: 4, kept: true, reason: '', clip: 'C7' }
const script = exampleScript({ Hook: ['The plane, the wind.'] })
for (const s of script.sections)
  for (const b of s.beats)
    b.cues = [
      { id: 'a', kind: 'shot', text: '=SUM(A1), low', got: true, from: 4, to: 9, takes: [take] },
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
      { id: 'd', kind: 'edit', text: 'good', got: false, at: 192 },
      { id: 'c', kind: 'upload', text: 'Number 31', got: false, place: 'card' },
    ]

test('a table has every cue with its words, and nothing that a spreadsheet would compute', () => {
  const read = Papa.parse<string[]>(cueCsv(cuesOfKinds(script, ['shot', 'sound', 'edit'])).trim()).data
  expect(read).toEqual([
    ['Number', 'Kind', 'What', 'Section', 'Words', 'Done', 'Source', 'Licence', 'Place', 'Time', 'Clip'],
    ['1', 'to film', "'=SUM(A1), low", 'Hook', 'plane', 'yes', '', '', '', '', 'C7'],
    ['2', 'sound or music', 'Wind', 'Hook', 'wind', 'no', 'A. Reed', 'CC BY', '', '', ''],
    ['3', 'for the edit', 'good', 'Hook', 'The plane, the wind.', 'no', '', '', '', '3:12', ''],
  ])
})

test('Markdown has a list to tick for each kind that there is', () => {
  const kinds = ['upload', 'sound', 'edit'] as const
  expect(cueMarkdown('An oar', cuesOfKinds(script, kinds), kinds)).toBe(
    '# An oar\n\n## For the upload\n\n- [ ] 4. Number 31 (Hook, info card)\n\n## Sound and music\n\n- [ ] 2. Wind (Hook, A. Reed, CC BY)\n\n## For the edit\n\n- [ ] 3. good (3:12, Hook)\n',
  )
})
