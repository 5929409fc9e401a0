import {
  after,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleScript,
  exampleShow,
} from '../../examples'
import { inverse, withChanges, type Records } from '../../records'
import { cameraId } from '../../script/to-camera'
import { shotsOf } from '../../session/items'
import { filesOf } from '../files'
import { writeIdea } from '../ideas'
import { largestPicture } from './picture-size'
import { pictureShot, type ShotPicture } from './picture-shot'

const image = (id: string) => ({
  ...{ id, name: `${id}.png`, type: 'image/png' as const, width: 1600, height: 900, size: 4 },
})
const fresh = (id: string, bytes = 4): ShotPicture => ({
  kind: 'new',
  image: image(id),
  file: { id, type: 'image/png', bytes: new Uint8Array(bytes) },
})
function world(): Records {
  const script = exampleScript({ Hook: ['The keel lies on its side.', 'The plane comes round.'] })
  script.sections[0]?.beats[1]?.cues.push({ id: 'plane', kind: 'shot', text: 'The plane', got: false })
  const records = exampleRecords([exampleEpisode({ id: 'episode' })])
  return { ...records, scripts: new Map([['episode', script]]) }
}
const give = (records: Records, picture: ShotPicture, shot = 'plane') =>
  pictureShot(records, { episode: 'episode', shot, picture }, exampleContext())
function picturesOf(records: Records) {
  const [episode, script] = [records.episodes.get('episode'), records.scripts.get('episode')]
  if (!episode) throw new Error('no episode')
  return Object.fromEntries(shotsOf({ episode, script, show: exampleShow() }).map((i) => [i.kind, i.picture]))
}

test('a new picture is the shot’s and stays with what filming needs; undo takes both away', () => {
  const before = world()
  const done = give(before, fresh('sketch'))
  const records = after(before, done)
  expect(picturesOf(records)).toEqual({ camera: undefined, shot: 'sketch' })
  const episode = records.episodes.get('episode')
  expect(episode?.idea.images).toEqual([{ ...image('sketch'), stage: 'film' }])
  expect(episode && filesOf(episode)).toEqual(['sketch'])
  expect(done.ok && done.value.files?.map((f) => f.id)).toEqual(['sketch'])
  expect(withChanges(records, done.ok ? inverse(done.value.changes) : [])).toEqual(before)
})

test('one that is kept already serves another shot; taken off it stays; removed from the shelf no shot shows it', () => {
  const first = after(world(), give(world(), fresh('sketch')))
  const both = after(first, give(first, { kind: 'kept', id: 'sketch' }, cameraId('episode')))
  expect(picturesOf(both)).toEqual({ camera: 'sketch', shot: 'sketch' })
  expect(both.episodes.get('episode')?.idea.images).toHaveLength(1)
  const off = after(both, give(both, { kind: 'none' }))
  expect(picturesOf(off)).toEqual({ camera: 'sketch', shot: undefined })
  expect(off.episodes.get('episode')?.idea.images).toHaveLength(1)
  const typed = { images: [] }
  const gone = after(off, writeIdea(off, { episode: 'episode', typed, what: 'the images' }, exampleContext()))
  expect(picturesOf(gone)).toEqual({ camera: undefined, shot: undefined })
})

test('what is gone or too large is refused, and nothing is written', () => {
  const said = (r: ReturnType<typeof give>) => (r.ok ? 'done' : r.problem.sentence)
  expect(said(give(world(), fresh('sketch'), 'gone'))).toMatch(/^This shot is no longer there/)
  expect(said(give(world(), { kind: 'kept', id: 'gone' }))).toMatch(/^This picture is no longer kept/)
  expect(said(give(world(), fresh('sketch', largestPicture + 1)))).toMatch(/at most 20 MB are taken/)
})
