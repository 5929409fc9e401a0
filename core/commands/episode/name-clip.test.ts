import {
  after,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleScript,
  refusalOf,
} from '../../examples'
import type { Records } from '../../records'
import { clipOf } from '../../script/cues'
import { cuesIn } from './write-script'
import { nameClip } from './name-clip'

const take = (id: string, kept: boolean) => ({
  id,
  at: '2026-11-24T09:00:00.000Z',
  seconds: 5,
  kept,
  reason: '',
})

test('the clip is that of the take that was kept; what was ticked without a take gets one', () => {
  const script = exampleScript({ Hook: ['The plane.'] })
  const [beat] = script.sections[0]?.beats ?? []
  if (beat)
    beat.cues = [
      { id: 'a', kind: 'shot', text: 'a', got: true, takes: [take('1', true), take('2', false)] },
      { id: 'b', kind: 'shot', text: 'b', got: true },
    ]
  const records: Records = {
    ...exampleRecords([exampleEpisode()]),
    scripts: new Map([['episode', script]]),
  }
  const name = (r: Records, item: string, clip: string) =>
    after(r, nameClip(r, { episode: 'episode', item, clip }, exampleContext()))
  const cues = (r: Records) => cuesIn(r.scripts.get('episode')?.sections ?? [])
  const both = name(name(records, 'a', ' C0041 '), 'b', 'card 2')
  expect(cues(both).map(clipOf)).toEqual(['C0041', 'card 2'])
  expect(cues(both)[0]?.takes?.map((t) => t.clip)).toEqual(['C0041', undefined])
  expect(cues(name(both, 'a', '')).map(clipOf)).toEqual(['', 'card 2'])
  expect(
    refusalOf(nameClip(records, { episode: 'episode', item: 'x', clip: 'y' }, exampleContext())),
  ).toContain('no longer there')
})
