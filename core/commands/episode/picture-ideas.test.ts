import { blankEpisode } from '../../records/blank-episode'
import { emptyRecords, withChanges, type Episode } from '../../records'
import { filesOf } from '../files'
import { choosePictureIdea } from './picture-ideas'

const at = '2026-11-24T09:00:00.000Z'
const sketch = { id: 'k1', name: 'hand.png', type: 'image/png' as const, width: 2, height: 2, size: 9 }
const bare = blankEpisode({ id: 'e1', show: 's', code: 'AB12', title: 'A mast', at })
const context = { now: Date.parse(at), id: () => 'new' }

function chosenOf(episode: Episode, idea: string) {
  const records = { ...emptyRecords(), episodes: new Map([[episode.id, episode]]) }
  const done = choosePictureIdea(records, { episode: 'e1', idea }, context)
  return done.ok ? withChanges(records, done.value.changes).episodes.get('e1') : done.problem.sentence
}

test('the chosen idea changes places with the one that was chosen, sketches and all', () => {
  const before: Episode = {
    ...bare,
    brief: { ...bare.brief, pictureIdea: 'The stump', pictureWords: 'IT FELL', pictureSketch: sketch },
    pictureIdeas: [
      { id: 'p1', idea: 'A hand', words: 'FORTY FEET' },
      { id: 'p2', idea: 'The saw', words: '' },
    ],
  }
  const after = chosenOf(before, 'p1')
  expect(after).toMatchObject({
    brief: { pictureIdea: 'A hand', pictureWords: 'FORTY FEET' },
    pictureIdeas: [{ id: 'new', idea: 'The stump', words: 'IT FELL', sketch }, { id: 'p2' }],
  })
  expect(typeof after === 'object' && after.brief.pictureSketch).toBeFalsy()
  // Its bytes are kept wherever the sketch stands.
  expect(typeof after === 'object' && filesOf(after)).toEqual(['k1'])
  expect(filesOf(before)).toEqual(['k1'])
})

test('where none was chosen the list only gets shorter; what is gone is refused', () => {
  const before = { ...bare, pictureIdeas: [{ id: 'p1', idea: 'A hand', words: '' }] }
  expect(chosenOf(before, 'p1')).toMatchObject({ brief: { pictureIdea: 'A hand' }, pictureIdeas: [] })
  expect(chosenOf(before, 'p9')).toBe('This idea for the picture is no longer there.')
})
