import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { keepMail, sortIdeas, writeIdea } from '@core/commands/ideas'
import { addKeyword } from '@core/commands/keywords'
import { keepSlots, putLaunch } from '@core/commands/schedule'
import { putStanding } from '@core/commands/standing'
import { startStep } from '@core/commands/work'
import { layOnDay } from '@core/commands/week'
import { exampleAt, exampleEpisode, exampleRecords, exampleStep, valueOf } from '@core/examples'
import { tables } from '@core/records'
import { asVersion4 } from '@core/records/as-version-4'
import { schemaVersion } from '@core/records/version'
import { Library } from './library'
import { backupOf, restoreInto, sweepFiles, wholeOf } from './whole'

const open: Library[] = []
let n = 0
afterEach(() => {
  for (const library of open.splice(0)) library.close()
})
async function opened(name: string): Promise<Library> {
  const library = new Library(name, { changed: () => undefined, trouble: () => undefined })
  open.push(library)
  valueOf(await library.open())
  return library
}

/**
 * A store as the first version left it: no keywords, episodes without their days as ideas, steps without
 * blocks.
 */
async function firstVersion(name: string): Promise<void> {
  const records = exampleRecords()
  const { idea: _idea, ...episode } = exampleEpisode({ note: 'from the first version' })
  const { blocks: _blocks, ...step } = exampleStep({ id: 's1' })
  const shows = [...records.shows.values()].map(({ fields: _fields, ...show }) => show)
  const settings = [...records.settings.values()].map(
    ({ weights: _w, views: _v, away: _a, exceptions: _e, setup: _s, preferred: _p, ...rest }) => rest,
  )
  const store = new Dexie(name)
  store.version(1).stores({
    shows: 'id',
    outlets: 'id',
    recipes: 'id',
    episodes: 'id, phase.name',
    steps: 'id, episode',
    scripts: 'id',
    settings: 'id',
    journal: 'seq, *about',
    files: 'id',
    meta: 'key',
  })
  await store.open()
  await store.table('shows').bulkAdd(shows)
  await store.table('outlets').bulkAdd([...records.outlets.values()])
  const before = asVersion4('episodes', episode)
  const after = asVersion4('episodes', { ...episode, title: 'Later title' })
  await store.table('recipes').bulkAdd([...records.recipes.values()].map((r) => asVersion4('recipes', r)))
  await store.table('episodes').add(after)
  await store.table('steps').add(asVersion4('steps', step))
  await store.table('settings').bulkAdd(settings)
  await store.table('journal').add({
    seq: 1,
    at: exampleAt,
    sentence: 'Changed the working title',
    about: [episode.id],
    state: 'done',
    tab: 't',
    changes: [{ table: 'episodes', id: episode.id, before, after }],
  })
  await store.table('meta').add({ key: 'schema', value: 1 })
  store.close()
}

describe('a store of the first version', () => {
  test('is brought up when it is opened: every record fits, nothing is lost, and its last change can be undone', async () => {
    const name = `old ${++n}`
    await firstVersion(name)
    const library = await opened(name)
    const whole = await wholeOf(await library.store())
    for (const table of ['shows', 'episodes', 'steps', 'settings'] as const)
      for (const row of whole.tables[table])
        expect(tables[table].schema.safeParse(row).error?.issues ?? []).toEqual([])
    expect(library.records.episodes.get('episode')).toMatchObject({
      title: 'Later title',
      note: 'from the first version',
      idea: { standing: 'unsorted' },
    })
    expect((await (await library.store()).meta.get('schema'))?.value).toBe(schemaVersion)
    expect(valueOf(await library.step('undo'))).toBe('Changed the working title')
    expect(library.records.episodes.get('episode')?.title).toBe('Steaming oak ribs')
    valueOf(await library.perform(sortIdeas, { episodes: ['episode'], standing: 'next' }))
    // Other tabs look for what is in work by its index.
    expect(await (await library.store()).rows('episodes').where('phase.kind').equals('idea').count()).toBe(1)
    expect((await (await library.store()).rows('episodes').get('episode'))?.idea.standing).toBe('next')
    // The tables that came later take records, and give them back by undo.
    valueOf(
      await library.perform(putStanding, {
        name: 'Letters',
        kind: 'admin',
        minutes: 30,
        when: { kind: 'once', day: '2026-11-25' },
      }),
    )
    valueOf(
      await library.perform(keepSlots, {
        show: 'show',
        name: 'Kelpline Rope',
        kind: 'sponsor',
        kept: { kind: 'slot', day: '2026-12-03' },
        note: '',
      }),
    )
    valueOf(
      await library.perform(putLaunch, {
        name: 'Drawings',
        from: '2027-01-04',
        to: '2027-01-10',
        runUp: 21,
        wanted: 2,
        note: '',
      }),
    )
    expect([
      await (await library.store()).rows('standing').count(),
      await (await library.store()).rows('reservations').count(),
      await (await library.store()).rows('launches').count(),
    ]).toEqual([1, 1, 1])
    const copy = await opened(`${name} restored`)
    expect(valueOf(await restoreInto(copy, await backupOf(library)))).toBe(1)
    expect([...copy.records.reservations.values()].map((r) => r.name)).toEqual(['Kelpline Rope'])
    expect(valueOf(await library.step('undo'))).toBe('Added the launch “Drawings”')
    expect(await (await library.store()).rows('launches').count()).toBe(0)
  })

  test('opened twice it is brought up once', async () => {
    const name = `old ${++n}`
    await firstVersion(name)
    const first = await opened(name)
    valueOf(await first.perform(sortIdeas, { episodes: ['episode'], standing: 'promising' }))
    first.close()
    const again = await opened(name)
    expect(again.records.episodes.get('episode')?.idea.standing).toBe('promising')
  })
})

describe('what is new is kept like everything else', () => {
  test('mail, keywords, files of ideas, work on days and a running timer come back from a back-up', async () => {
    const name = `old ${++n}`
    await firstVersion(name)
    const library = await opened(name)
    valueOf(
      await library.perform(keepMail, {
        show: 'show',
        mail: [
          {
            kind: 'wish',
            id: 'wish-0001',
            at: exampleAt,
            line: 'Knots',
            url: '',
            show: '',
            name: 'Mara',
            mail: 'mara@post.example',
            tell: true,
            picture: { type: 'image/png', width: 2, height: 2, base64: 'AAAA' },
          },
        ],
        files: [{ id: 'wish-0001/picture', type: 'image/png', bytes: new Uint8Array([1, 2, 3]) }],
      }),
    )
    valueOf(await library.perform(addKeyword, { show: 'show', words: 'steam bending' }))
    await library.ensure(['episode'])
    valueOf(await library.perform(layOnDay, { step: 's1', day: '2099-01-01', minutes: 60 }))
    valueOf(await library.perform(startStep, { step: 's1' }))
    const zip = await backupOf(library)
    const other = await opened(`old ${++n}`)
    expect(valueOf(await restoreInto(other, zip))).toBe(2)
    await other.ensure(['episode'])
    expect(other.records.episodes.get('wish-0001')?.idea.asked[0]).toMatchObject({ name: 'Mara', tell: true })
    expect([...((await other.file('wish-0001/picture'))?.bytes ?? [])]).toEqual([1, 2, 3])
    expect([...other.records.keywords.values()].map((k) => k.words)).toEqual(['steam bending'])
    expect(other.records.steps.get('s1')?.blocks).toEqual([{ day: '2099-01-01', minutes: 60, pinned: true }])
    expect(other.records.settings.get('settings')?.running?.step).toBe('s1')
  })

  test('an image of an idea is swept only when nothing could bring it back', async () => {
    const name = `old ${++n}`
    await firstVersion(name)
    const library = await opened(name)
    const image = { id: 'i', name: 'a.png', type: 'image/png' as const, width: 2, height: 2, size: 3 }
    valueOf(
      await library.perform(writeIdea, {
        episode: 'episode',
        typed: { images: [image], files: [{ id: 'f', name: 'a.txt', type: 'text/plain', size: 1 }] },
        what: 'the files',
        files: [
          { id: 'i', type: 'image/png', bytes: new Uint8Array([1]) },
          { id: 'f', type: 'text/plain', bytes: new Uint8Array([2]) },
        ],
      }),
    )
    expect(await sweepFiles(await library.store())).toBe(0)
    valueOf(
      await library.perform(writeIdea, {
        episode: 'episode',
        typed: { images: [], files: [] },
        what: 'the images',
      }),
    )
    expect(await sweepFiles(await library.store())).toBe(0)
    await (await library.store()).journal.toCollection().modify((line) => {
      line.changes = []
    })
    expect(await sweepFiles(await library.store())).toBe(2)
  })
})
