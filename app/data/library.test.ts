import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { addPicture, removePicture, writeEpisode } from '@core/commands/episode'
import { jotIdea } from '@core/commands/ideas'
import { placeOnSlot } from '@core/commands/schedule'
import { takeLetters } from '@core/commands/sessions'
import { addShow } from '@core/commands/shows'
import { tickStep } from '@core/commands/work'
import { refusalOf, valueOf } from '@core/examples'
import type { Problem } from '@core/result'
import { addDays, dayOf } from '@core/rhythm/days'
import { datesOf } from '@core/rhythm/rule'
import { Library } from './library'
import { problemOf } from './problems'
import { backupOf, eraseAll, restoreInto, sweepFiles, wholeOf } from './whole'

const today = dayOf(Math.floor(Date.now() / 86_400_000))
const open: Library[] = []
let n = 0

interface Tab {
  library: Library
  troubles: Problem[]
  /** How often it read all anew. */
  read: { anew: number }
}

async function tab(
  name = `store ${++n}`,
  changed: (library: Library) => void = () => undefined,
): Promise<Tab> {
  const troubles: Problem[] = []
  const read = { anew: 0 }
  const library = new Library(name, {
    changed: () => {
      changed(library)
    },
    readAnew: () => {
      read.anew++
    },
    trouble: (p) => {
      troubles.push(p)
    },
  })
  open.push(library)
  valueOf(await library.open())
  return { library, troubles, read }
}

/** A library with one show and one idea; gives the idea's id and the next slot's date. */
async function begun(name?: string) {
  const { library, troubles } = await tab(name)
  valueOf(
    await library.perform(addShow, {
      title: 'Tern & Tiller',
      kind: 'video',
      zone: 'UTC',
      rhythm: { kind: 'week', every: 1, weekdays: [3] },
      time: '17:00',
      start: addDays(today, 2),
      hours: [60, 60, 60, 60, 60, 60, 60],
    }),
  )
  const show = [...library.records.shows.values()][0]
  if (!show) throw new Error('no show')
  const idea =
    valueOf(await library.perform(jotIdea, { show: show.id, line: 'Steaming oak ribs' })).about[0] ?? ''
  const slot = datesOf(show.rhythm, addDays(today, 2), addDays(today, 20))[0] ?? ''
  return { library, troubles, show, idea, slot }
}
const until = async (holds: () => boolean) => {
  for (let i = 0; i < 200 && !holds(); i++)
    await new Promise((r) => {
      setTimeout(r, 10)
    })
}

afterEach(() => {
  for (const library of open.splice(0)) library.close()
})

describe('the write path', () => {
  test('shows a change at once and stores it with its line of history', async () => {
    const { library, idea, slot } = await begun()
    const kept = library.perform(placeOnSlot, { episode: idea, day: slot })
    expect(library.records.episodes.get(idea)?.place).toEqual({ kind: 'slot', day: slot })
    await kept
    expect((await (await library.store()).rows('episodes').get(idea))?.place).toEqual({
      kind: 'slot',
      day: slot,
    })
    expect(await (await library.store()).rows('steps').where('episode').equals(idea).count()).toBe(3)
    expect((await library.history(idea)).map((l) => l.sentence)).toEqual([
      expect.stringMatching(/^Put “Steaming oak ribs” on/),
      'Kept the idea “Steaming oak ribs”',
    ])
  })

  test('what is refused changes nothing, neither shown nor stored', async () => {
    const { library, idea } = await begun()
    const before = await wholeOf(await library.store())
    const records = library.records
    expect(refusalOf(await library.perform(placeOnSlot, { episode: idea, day: '2026-02-30' }))).toMatch(
      /not a date/,
    )
    expect(
      refusalOf(
        await library.perform(writeEpisode, {
          episode: idea,
          typed: { titles: [{ id: '', text: 'x' }] },
          what: 'the titles',
        }),
      ),
    ).not.toBe('')
    expect(library.records).toBe(records)
    expect(await wholeOf(await library.store())).toEqual(before)
  })

  test('is all there when the store is opened again', async () => {
    const { library, idea, slot } = await begun('again')
    await library.perform(placeOnSlot, { episode: idea, day: slot })
    await library.perform(tickStep, { step: `${idea}/film`, done: true })
    const { library: other } = await tab('again')
    expect(other.records).toEqual(library.records)
  })

  test('typing in one field is one line, however often it is written', async () => {
    const { library, idea } = await begun()
    for (const note of ['a', 'ab', 'abc'])
      void library.perform(writeEpisode, { episode: idea, typed: { note }, what: 'the note' })
    await library.settled()
    await library.perform(writeEpisode, { episode: idea, typed: { note: 'abcd' }, what: 'the note' })
    expect((await (await library.store()).rows('episodes').get(idea))?.note).toBe('abcd')
    expect((await library.history(idea)).filter((l) => l.sentence === 'Changed the note')).toHaveLength(1)
    valueOf(await library.step('undo'))
    expect(library.records.episodes.get(idea)?.note).toBe('')
  })
})

describe('undo and redo', () => {
  test('go back and forth over everything, stored as well as shown', async () => {
    const { library, idea, slot } = await begun()
    const before = await wholeOf(await library.store())
    await library.perform(placeOnSlot, { episode: idea, day: slot })
    await library.perform(tickStep, { step: `${idea}/film`, done: true })
    const after = await wholeOf(await library.store())
    expect(valueOf(await library.step('undo'))).toBe('Done: Film')
    valueOf(await library.step('undo'))
    expect((await wholeOf(await library.store())).tables).toEqual(before.tables)
    expect(library.records.scripts.has(idea)).toBe(false)
    valueOf(await library.step('redo'))
    valueOf(await library.step('redo'))
    expect((await wholeOf(await library.store())).tables).toEqual(after.tables)
    expect(refusalOf(await library.step('redo'))).toMatch(/nothing to do again/)
  })

  test('take back what a letter brought, not that it came: it is never waited for again, nor taken twice', async () => {
    const { library, idea, slot } = await begun()
    valueOf(await library.perform(placeOnSlot, { episode: idea, day: slot }))
    const [step] = [...library.records.steps.values()]
    const letter = (n: number, saw: boolean) => ({
      ...{ id: `letter-000${n}`, device: 'phone', n, at: `${today}T09:00:00.000Z` },
      deed: { kind: 'step' as const, step: step?.id ?? '', done: !saw, saw },
    })
    const isDone = () => library.records.steps.get(step?.id ?? '')?.doneAt !== undefined
    valueOf(await library.perform(takeLetters, { letters: [letter(1, false)] }))
    for (let round = 0; round < 2; round++) {
      expect([isDone(), library.records.letters.size]).toEqual([true, 1])
      expect(valueOf(await library.step('undo'))).toBe('Took one deed from the belt')
      expect([isDone(), library.records.letters.size]).toEqual([false, 1])
      expect(refusalOf(await library.perform(takeLetters, { letters: [letter(1, false)] }))).toContain(
        'already',
      )
      valueOf(await library.step('redo'))
    }
    expect(await (await library.store()).rows('letters').count()).toBe(1)
    // A letter that changed nothing is nothing to take back.
    valueOf(await library.perform(takeLetters, { letters: [letter(2, false)] }))
    expect(library.records.letters.get('letter-0002')?.over).toBeDefined()
    expect(valueOf(await library.step('undo'))).toBe('Took one deed from the belt')
    expect([isDone(), library.records.letters.size]).toEqual([false, 2])
    valueOf(await library.step('redo'))
    const [line] = await library.history(step?.episode ?? '')
    valueOf(await library.takeBack([line?.seq ?? 0]))
    expect([isDone(), library.records.letters.size]).toEqual([false, 2])
  })

  test('something new ends what could be done again, and history says what was taken back', async () => {
    const { library, idea } = await begun()
    await library.perform(writeEpisode, { episode: idea, typed: { note: 'one' }, what: 'the note' })
    await library.step('undo')
    expect((await library.history(idea))[0]).toMatchObject({ state: 'undone', sentence: 'Changed the note' })
    await library.perform(writeEpisode, { episode: idea, typed: { tags: ['oak'] }, what: 'the tags' })
    expect(refusalOf(await library.step('redo'))).toMatch(/nothing to do again/)
    expect((await library.history(idea)).map((l) => l.sentence)).not.toContain('Changed the note')
  })

  test('an empty store has nothing to take back', async () => {
    const { library } = await tab()
    expect(refusalOf(await library.step('undo'))).toMatch(/nothing to take back/)
  })

  test('old lines keep their sentence, the last two hundred can be taken back', async () => {
    const { library, idea } = await begun()
    const kept = (await (await library.store()).journal.toArray())[1]?.changes ?? []
    await (
      await library.store()
    ).journal.bulkAdd(
      Array.from({ length: 200 }, (_row, i) => ({
        seq: i + 3,
        at: '2026-11-24T09:00:00.000Z',
        sentence: `Line ${i}`,
        about: [idea],
        state: 'done' as const,
        tab: 't',
        changes: kept,
      })),
    )
    await library.perform(writeEpisode, { episode: idea, typed: { note: 'n' }, what: 'the note' })
    const lines = await (await library.store()).journal.toArray()
    expect(lines).toHaveLength(203)
    expect(lines[2]?.changes).toEqual([])
    expect(lines[3]?.changes).toEqual(kept)
    expect(lines[0]?.sentence).toBe('Began the show Tern & Tiller')
  })
})

describe('two tabs', () => {
  test('agree: what one writes the other shows', async () => {
    const { library: one, idea } = await begun('two')
    const { library: two } = await tab('two')
    await one.perform(writeEpisode, { episode: idea, typed: { note: 'from one' }, what: 'the note' })
    await until(() => two.records.episodes.get(idea)?.note === 'from one')
    expect(two.records.episodes.get(idea)?.note).toBe('from one')
    await two.step('undo')
    await until(() => one.records.episodes.get(idea)?.note === '')
    expect(one.records.episodes.get(idea)?.note).toBe('')
  })

  test('neither overwrites what the other did a moment before', async () => {
    const { library: one, idea } = await begun('clash')
    const { library: two } = await tab('clash')
    await Promise.all([
      one.perform(writeEpisode, { episode: idea, typed: { note: 'a note' }, what: 'the note' }),
      two.perform(writeEpisode, { episode: idea, typed: { tags: ['oak'] }, what: 'the tags' }),
    ])
    expect(await (await one.store()).rows('episodes').get(idea)).toMatchObject({
      note: 'a note',
      tags: ['oak'],
    })
    await until(
      () =>
        one.records.episodes.get(idea)?.tags.length === 1 &&
        two.records.episodes.get(idea)?.note === 'a note',
    )
    expect(one.records.episodes.get(idea)).toEqual(two.records.episodes.get(idea))
  })

  test('putting two ideas on one slot from two tabs, the second is refused', async () => {
    const { library: one, idea, slot, show } = await begun('slot')
    const other = valueOf(await one.perform(jotIdea, { show: show.id, line: 'Caulking' })).about[0] ?? ''
    const { library: two, troubles } = await tab('slot')
    const results = await Promise.all([
      one.perform(placeOnSlot, { episode: idea, day: slot }),
      two.perform(placeOnSlot, { episode: other, day: slot }),
    ])
    const placed = (await (await one.store()).rows('episodes').toArray()).filter(
      (e) => e.place.kind === 'slot',
    )
    expect(placed).toHaveLength(1)
    expect(results.filter((r) => r.ok)).toHaveLength(1)
    expect(troubles).toEqual([])
  })
})

describe('when the browser does not store', () => {
  test('what was shown is taken back and trouble is said', async () => {
    const { library, troubles, idea } = await begun()
    const put = jest
      .spyOn((await library.store()).journal, 'add')
      .mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'))
    const result = await library.perform(writeEpisode, {
      episode: idea,
      typed: { note: 'lost' },
      what: 'the note',
    })
    put.mockRestore()
    expect(refusalOf(result)).toMatch(/no room left/)
    expect(troubles).toHaveLength(1)
    expect(library.records.episodes.get(idea)?.note).toBe('')
    expect((await (await library.store()).rows('episodes').get(idea))?.note).toBe('')
  })

  test('what was waiting behind it is taken back too, and trouble is said once', async () => {
    const { library, troubles, idea } = await begun()
    const put = jest
      .spyOn((await library.store()).journal, 'add')
      .mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'))
    const results = await Promise.all([
      library.perform(writeEpisode, { episode: idea, typed: { note: 'lost' }, what: 'the note' }),
      library.perform(writeEpisode, { episode: idea, typed: { tags: ['lost'] }, what: 'the tags' }),
    ])
    put.mockRestore()
    expect(results.map((r) => r.ok)).toEqual([false, false])
    expect(troubles).toHaveLength(1)
    expect(library.records.episodes.get(idea)).toEqual(
      await (await library.store()).rows('episodes').get(idea),
    )
    expect(library.records.episodes.get(idea)).toMatchObject({ note: '', tags: [] })
  })

  test('each failure has a sentence with a way out', () => {
    expect(problemOf(new Error('QuotaExceededError')).sentence).toMatch(/Download a back-up/)
    expect(problemOf(new Error('VersionError: newer')).sentence).toMatch(/Reload/)
    expect(problemOf('x').sentence).toMatch(/ordinary window/)
  })

  test('a store of a newer program is refused', async () => {
    const { library } = await tab('newer')
    await (await library.store()).meta.put({ key: 'schema', value: 99 })
    library.close()
    const later = new Library('newer', { changed: () => undefined, trouble: () => undefined })
    open.push(later)
    expect(refusalOf(await later.open())).toMatch(/newer Lamp Reel/)
  })
})

describe('the whole', () => {
  const picture = { id: 'p', name: 'a.png', type: 'image/png' as const, width: 2, height: 2, size: 3 }
  const file = { id: 'p', type: 'image/png', bytes: new Uint8Array([1, 2, 3]) }

  test('backed up, erased and restored is the same, down to files and history', async () => {
    const { library, idea, slot } = await begun()
    await library.perform(placeOnSlot, { episode: idea, day: slot })
    await library.perform(addPicture, { episode: idea, picture, file })
    await library.step('undo')
    const before = await wholeOf(await library.store())
    const zip = await backupOf(library)
    await eraseAll(library)
    expect(library.records.episodes.size).toBe(0)
    expect(await (await library.store()).files.count()).toBe(0)
    expect(valueOf(await restoreInto(library, zip))).toBe(1)
    expect(await wholeOf(await library.store())).toEqual(before)
    valueOf(await library.step('redo'))
    expect(library.records.episodes.get(idea)?.pictures).toHaveLength(1)
    expect((await library.file('p'))?.bytes).toEqual(file.bytes)
  })

  test('a broken back-up changes nothing', async () => {
    const { library } = await begun()
    const before = await wholeOf(await library.store())
    const zip = await backupOf(library)
    expect(refusalOf(await restoreInto(library, zip.slice(0, 200)))).toMatch(/damaged/)
    expect(await wholeOf(await library.store())).toEqual(before)
  })

  test('files that nothing can bring back are swept, others stay', async () => {
    const { library, idea } = await begun()
    await library.perform(addPicture, { episode: idea, picture, file })
    await library.perform(removePicture, { episode: idea, picture: 'p' })
    expect(await sweepFiles(await library.store())).toBe(0)
    await (await library.store()).journal.toCollection().modify((line) => {
      line.changes = []
    })
    expect(await sweepFiles(await library.store())).toBe(1)
    expect(await library.file('p')).toBeUndefined()
  })
})

test('steps and scripts of ended work are read when they are asked for', async () => {
  const { library, idea, slot } = await begun('late')
  await library.perform(placeOnSlot, { episode: idea, day: slot })
  await (
    await library.store()
  )
    .rows('episodes')
    .update(idea, { phase: { kind: 'released', at: '2026-01-01T00:00:00.000Z' } })
  const { library: later } = await tab('late')
  expect(later.records.steps.size).toBe(0)
  await later.ensure([idea])
  expect(later.records.steps.size).toBe(3)
  expect(later.records.scripts.has(idea)).toBe(true)
  expect(await Dexie.exists('late')).toBe(true)
})

test('what was asked for is there again when the whole is read anew: after a restore, here or in another tab', async () => {
  const { library, idea, slot } = await begun('asked')
  await library.perform(placeOnSlot, { episode: idea, day: slot })
  const out = { phase: { kind: 'released' as const, at: '2026-01-01T00:00:00.000Z' } }
  await (await library.store()).rows('episodes').update(idea, out)
  const { library: here } = await tab('asked')
  const seen: number[] = []
  const { library: other, read } = await tab('asked', (l) => seen.push(l.records.steps.size))
  for (const each of [here, other]) await each.ensure([idea])
  const zip = await backupOf(here)
  seen.length = 0
  expect(read.anew).toBe(1)
  valueOf(await restoreInto(here, zip))
  await until(() => read.anew > 1)
  expect(read.anew).toBe(2)
  expect(here.records.steps.size).toBe(3)
  expect(other.isLoaded(idea)).toBe(true)
  // It is never shown without them on the way.
  expect(new Set(seen)).toEqual(new Set([3]))
  // Of what is not there any more nothing is asked for.
  await eraseAll(here)
  expect(here.isLoaded(idea)).toBe(false)
  expect(here.records.steps.size).toBe(0)
})
