import {
  after,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleScript,
  refusalOf,
} from '../../examples'
import type { Records, ScriptStand } from '../../records'
import { changedSince } from '../../script/copy-edit'
import { passScript } from './pass-script'
import { writeScript } from './write-script'

const withScript = (sections: Record<string, string[]>): Records => ({
  ...exampleRecords([exampleEpisode()]),
  scripts: new Map([['episode', exampleScript(sections)]]),
})
const pass = (records: Records, stand: ScriptStand) =>
  passScript(records, { episode: 'episode', stand }, exampleContext())

test('from copy-edit on, what changes is seen by section', () => {
  const there = after(
    withScript({ Hook: ['One.'], Body: ['Two.'] }),
    pass(withScript({ Hook: ['One.'], Body: ['Two.'] }), 'copy-edit'),
  )
  const script = there.scripts.get('episode')
  expect(changedSince(script)).toEqual([])
  const base = script?.sections ?? []
  const sections = base.map((s) => ({
    ...s,
    beats: s.beats.map((b) => ({ ...b, text: b.text.replace('One', 'Three') })),
  }))
  const later = after(
    there,
    writeScript(there, { episode: 'episode', wish: { kind: 'edit', base, sections } }, exampleContext()),
  )
  expect(changedSince(later.scripts.get('episode')).map((c) => [c.title, c.kind])).toEqual([
    ['Hook', 'changed'],
  ])
})

test('it is ready only when every section has words', () => {
  expect(refusalOf(pass(withScript({ Hook: ['One.'], Body: [''] }), 'ready'))).toBe(
    '“Body” has no words yet. Write it, or say that it is spoken freely.',
  )
  const ready = withScript({ Hook: ['One.'] })
  expect(after(ready, pass(ready, 'ready')).scripts.get('episode')?.stand).toBe('ready')
  expect(refusalOf(pass(exampleRecords([exampleEpisode()]), 'copy-edit'))).toMatch(/no script yet/)
})
