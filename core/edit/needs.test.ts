import type { Cue, Script } from '../records'
import { editNeeds } from './needs'

const cue = (id: string, kind: Cue['kind'], fields: Partial<Cue> = {}): Cue => ({
  id,
  kind,
  text: id,
  got: false,
  ...fields,
})
const script = (cues: Cue[]): Script => ({
  id: 'e',
  sections: [{ id: 's', title: 'S', beats: [{ id: 'b', delivery: 'camera', text: '', hold: 0, cues }] }],
  createdAt: '2026-11-01T10:00:00Z',
  updatedAt: '2026-11-01T10:00:00Z',
})

test('what lacks comes first, with the cue that lacks and where it is got', () => {
  const needs = editNeeds(
    script([
      cue('wide', 'shot', { got: true }),
      cue('chart', 'graphic', { got: true }),
      cue('arrow', 'graphic'),
      cue('tell them', 'edit'),
      cue('card', 'upload'),
    ]),
  )
  expect(needs.map((n) => [n.name, n.there, n.of, n.lacking?.cue, n.lacking?.stage])).toEqual([
    ['Graphics', 1, 2, 'arrow', 'edit'],
    ['To film', 1, 1, undefined, undefined],
  ])
})

test('music that is there without its licence lacks it', () => {
  const [music] = editNeeds(script([cue('hum', 'sound', { got: true, source: 'Oda Fenwick' })]))
  expect(music).toMatchObject({ there: 1, of: 1, unlicensed: 1, lacking: { cue: 'hum', stage: 'script' } })
  const [licensed] = editNeeds(
    script([cue('hum', 'sound', { got: true, source: 'Oda Fenwick', licence: 'CC BY 4.0' })]),
  )
  expect(licensed?.lacking).toBeUndefined()
  expect(editNeeds(undefined)).toEqual([])
})
