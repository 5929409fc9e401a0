import { blankEpisode } from '../records/blank-episode'
import { notebookMarkdown } from './notebook-markdown'

const bare = blankEpisode({
  id: 'e1',
  show: 's',
  code: 'AB12',
  title: 'A mast',
  at: '2026-11-24T09:00:00.000Z',
})
const about = { title: 'A mast from a larch', show: 'Tern & Tiller', keywords: [], fields: [] }

test('an empty notebook is its title and where it belongs', () => {
  expect(notebookMarkdown({ ...about, episode: bare })).toBe('# A mast from a larch\n\nTern & Tiller, AB12\n')
})

test('every known thing stands under its heading, titles by their score, the chosen ones marked', () => {
  const text = notebookMarkdown({
    ...about,
    fields: [
      { id: 'f1', name: 'Needs a drone', kind: 'tick', choices: [] },
      { id: 'f2', name: 'Shelf mark', kind: 'text', choices: [] },
      { id: 'f3', name: 'Empty', kind: 'text', choices: [] },
    ],
    episode: {
      ...bare,
      note: '## Before filming\n- [x] clamps',
      titles: [
        { id: 't1', text: 'Low', score: 12 },
        { id: 't2', text: 'None' },
        { id: 't3', text: 'High', score: 90, note: 'tried twice' },
      ],
      chosenTitle: 't3',
      brief: { ...bare.brief, pictureIdea: 'The stump', pictureWords: 'IT FELL' },
      pictureIdeas: [{ id: 'p1', idea: 'A hand', words: '' }],
      idea: {
        ...bare.idea,
        premise: 'A tree becomes a mast.',
        sources: [
          { id: 's1', text: 'The mill', url: 'https://mill.example/' },
          { id: 's2', text: 'Footage', url: '/Volumes/Barge' },
        ],
        own: { f1: true, f2: 'B 7' },
      },
    },
  })
  expect(text).toContain('Tern & Tiller, AB12\n\n## Before filming\n- [x] clamps\n\n## Premise')
  expect(text).toContain('- **High**, score 90, tried twice\n- Low, score 12\n- None')
  expect(text).toContain('- The stump; words: IT FELL; chosen\n- A hand')
  expect(text).toContain('- [The mill](https://mill.example/)\n- Footage: /Volumes/Barge')
  expect(text).toContain('## Needs a drone\n\nyes')
  expect(text).toContain('## Shelf mark\n\nB 7')
  expect(text).not.toContain('Empty')
  expect(text).not.toContain('## Why now')
})

test('pictures of the note point at the files beside it', () => {
  const episode = { ...bare, note: '![slip](picture:abc-1) ![gone](picture:xyz)' }
  expect(notebookMarkdown({ ...about, episode }, new Map([['abc-1', 'pictures/1-the slip.png']]))).toContain(
    '![slip](pictures/1-the%20slip.png) ![gone](picture:xyz)',
  )
})
