import 'fake-indexeddb/auto'
import fc from 'fast-check'
import type { Command } from '@core/commands/change'
import { writeScript } from '@core/commands/episode'
import { jotIdeas } from '@core/commands/ideas'
import { addShow } from '@core/commands/shows'
import { startWork } from '@core/commands/schedule'
import { beginSession, planSession, rollSession } from '@core/commands/sessions'
import { todayOf } from '@core/commands/step-of'
import { commandNames, doDeed } from '@core/commands/random-deeds'
import { valueOf } from '@core/examples'
import { faultsOf } from '@core/formats/whole-check'
import { tableNames } from '@core/records'
import { Library } from './library'
import { backupOf, restoreInto, wholeOf } from './whole'
import { runs } from '@core/runs'

/** A command chosen at random, which takes its wish from what it finds. */
const atRandom: Command<{ name: string; numbers: number[] }> = (r, { name, numbers }, c) => {
  let at = 0
  return doDeed(name, { r, c, n: (most) => (numbers[at++ % 7] ?? 0) % most })
}

const turn = fc.record({
  name: fc.constantFrom(...commandNames),
  numbers: fc.array(fc.nat({ max: 10_000 }), { minLength: 7, maxLength: 7 }),
  then: fc
    .nat({ max: 19 })
    .map((x) => (x === 0 ? 'reload' : x === 1 ? 'restore' : x < 4 ? 'undo' : x === 4 ? 'redo' : 'go on')),
})

let n = 0
const open: Library[] = []

async function opened(name: string): Promise<Library> {
  const library = new Library(name, { changed: () => undefined, trouble: () => undefined })
  open.push(library)
  valueOf(await library.open())
  return library
}

/** A show, five ideas, one of them in work, and its filming in a session that runs. */
async function begun(library: Library): Promise<void> {
  const show: Parameters<typeof addShow>[1] = {
    title: 'Tern & Tiller',
    kind: 'video',
    zone: 'Europe/Lisbon',
    rhythm: { kind: 'week', every: 1, weekdays: [3] },
    time: '17:00',
    start: '2026-11-05',
    hours: [60, 60, 60, 60, 60, 60, 60],
  }
  valueOf(await library.perform(addShow, show))
  const id = [...library.records.shows.keys()][0] ?? ''
  const drafts = ['Ribs', 'Keel', 'Spar', 'Oars', 'Tar'].map((title) => ({
    title,
    note: '',
    urls: [],
    topics: [],
    ticked: false,
  }))
  valueOf(await library.perform(jotIdeas, { show: id, drafts }))
  const episode = [...library.records.episodes.keys()][0] ?? ''
  valueOf(await library.perform(startWork, { episode }))
  const cues = [{ id: 'shot', kind: 'shot' as const, text: 'The plane', got: false }]
  const beats = [{ id: 'beat', delivery: 'camera' as const, text: 'It curls.', hold: 0, cues }]
  const sections = [{ id: 'hook', title: 'Hook', beats }]
  valueOf(await library.perform(writeScript, { episode, wish: { kind: 'edit', base: [], sections } }))
  const film = [...library.records.steps.values()].filter((s) => s.kind === 'film').map((s) => s.id)
  const day = todayOf(library.records, { now: Date.now() })
  valueOf(await library.perform(planSession, { id: 'session', kind: 'film', day, steps: film }))
  valueOf(await library.perform(beginSession, { session: 'session' }))
  const order = ['shot', `camera:${episode}`]
  // Said once that something is not ready, then gone on.
  for (let i = 0; i < 2; i++) valueOf(await library.perform(rollSession, { session: 'session', order }))
}

/** What a page shows is what its store holds, and no rule between the stored records is broken. */
async function kept(library: Library): Promise<void> {
  await library.settled()
  const { tables } = await wholeOf(await library.store())
  expect(faultsOf(tables)).toEqual([])
  for (const name of tableNames) {
    const stored = new Map<string, unknown>(tables[name].map((row) => [row.id, row]))
    for (const [id, record] of library.records[name]) expect([name, record]).toEqual([name, stored.get(id)])
    if (name !== 'steps' && name !== 'scripts') expect(library.records[name].size).toBe(stored.size)
  }
}

afterEach(() => {
  for (const library of open.splice(0)) library.close()
})

test('commands at random, with undo, reload, back-up and restore between: what is shown is what is stored, whole', async () => {
  const done = new Set<string>()
  await fc.assert(
    fc.asyncProperty(fc.array(turn, { minLength: 24, maxLength: 52 }), async (row) => {
      let name = `random ${++n}`
      let library = await opened(name)
      await begun(library)
      for (const { name: command, numbers, then } of row) {
        const result = await library.perform(atRandom, { name: command, numbers })
        if (result.ok) done.add(command)
        if (then === 'undo' || then === 'redo') await library.step(then)
        if (then === 'reload') {
          await kept(library)
          library.close()
          library = await opened(name)
        }
        if (then === 'restore') {
          const before = await wholeOf(await library.store())
          const zip = await backupOf(library)
          library.close()
          name = `random ${++n}`
          library = await opened(name)
          valueOf(await restoreInto(library, zip))
          expect((await wholeOf(await library.store())).tables).toEqual(before.tables)
        }
      }
      await kept(library)
    }),
    { numRuns: runs(5), seed: 20_261_125, endOnFailure: true },
  )
  expect(done.size).toBeGreaterThan(commandNames.length * 0.45)
})
