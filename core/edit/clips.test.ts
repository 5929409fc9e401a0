import { exampleEpisode } from '../examples'
import { clipCredits, readClip, unlicensedClips } from './clips'

test.each([
  ['Harbour at dawn, R. Teal, with leave', ['Harbour at dawn', 'R. Teal', 'with leave']],
  [
    'Gulls — found on the shelf — free, with a credit',
    ['Gulls', 'found on the shelf', 'free, with a credit'],
  ],
  ['Tractor idling; by hand', ['Tractor idling', 'by hand', '']],
  ['  A half-built hull ', ['A half-built hull', '', '']],
  ['', ['', '', '']],
])('%j', (line, [text, source, licence]) => {
  expect(readClip(line)).toEqual({ text, source, licence })
})

test('what has a source is credited; what has no licence is named, source or not', () => {
  const episode = exampleEpisode({
    clips: [
      { id: 'a', text: 'Dawn', source: 'R. Teal', licence: 'with leave' },
      { id: 'b', text: 'Gulls', source: '', licence: '' },
      { id: 'c', text: 'Tide', source: 'own', licence: '' },
    ],
  })
  expect(clipCredits(episode)).toEqual(['Dawn, R. Teal, with leave', 'Tide, own'])
  expect(unlicensedClips(episode).map((c) => c.id)).toEqual(['b', 'c'])
  expect(clipCredits(exampleEpisode())).toEqual([])
})
