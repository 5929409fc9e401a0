import 'fake-indexeddb/auto'
import { writeEpisode, writeScript } from '@core/commands/episode'
import { jotIdea } from '@core/commands/ideas'
import { markReleased } from '@core/commands/release'
import { placeOnSlot } from '@core/commands/schedule'
import { addShow } from '@core/commands/shows'
import { exampleScript, refusalOf, valueOf } from '@core/examples'
import type { Aside } from '@core/formats/backup'
import type { Problem } from '@core/result'
import { addDays, dayOf } from '@core/rhythm/days'
import { datesOf } from '@core/rhythm/rule'
import { Library } from './library'
import { backupOf, backupOfMemory, mendAside, putBack, restoreInto, sayPutBack } from './whole'

const today = dayOf(Math.floor(Date.now() / 86_400_000))
const open: Library[] = []
let n = 0

/** A page on a store; `deaf` ones hear nothing of the others, as after a sleep or a lost message. */
async function page(name: string, deaf = false) {
  const troubles: Problem[] = []
  let aside: readonly Aside[] = []
  const { BroadcastChannel } = globalThis
  if (deaf) Reflect.deleteProperty(globalThis, 'BroadcastChannel')
  const library = new Library(name, {
    changed: () => undefined,
    trouble: (p) => {
      troubles.push(p)
    },
    aside: (all) => {
      aside = all
    },
  })
  globalThis.BroadcastChannel = BroadcastChannel
  open.push(library)
  valueOf(await library.open())
  return { library, troubles, aside: () => aside }
}

/** A page with a daily show of three episodes on slots that have passed already but one. */
async function begun(name = `keeping ${++n}`) {
  const first = await page(name, true)
  const { library } = first
  valueOf(
    await library.perform(addShow, {
      title: 'Tern & Tiller',
      kind: 'video',
      zone: 'UTC',
      rhythm: { kind: 'day', every: 1 },
      time: '17:00',
      start: addDays(today, 1),
      hours: [60, 60, 60, 60, 60, 60, 60],
    }),
  )
  const show = [...library.records.shows.values()][0]
  if (!show) throw new Error('no show')
  const days = datesOf(show.rhythm, addDays(today, 1), addDays(today, 9))
  const ids: string[] = []
  for (const line of ['Ribs', 'Keel', 'Spar'])
    ids.push(valueOf(await library.perform(jotIdea, { show: show.id, line })).about[0] ?? '')
  for (const [i, id] of ids.entries())
    valueOf(await library.perform(placeOnSlot, { episode: id, day: days[i] ?? '' }))
  return { ...first, name, show, ids, days }
}
const at = (ids: readonly string[], i: number) => ids[i] ?? ''

afterEach(() => {
  for (const library of open.splice(0)) library.close()
})

describe('pages that hear nothing of each other', () => {
  test('give no number twice when each releases an episode', async () => {
    const { name, ids } = await begun()
    const pages = await Promise.all([page(name, true), page(name, true), page(name, true)])
    await Promise.all(
      pages.map((p, i) => p.library.perform(markReleased, { episode: at(ids, i) }).then(valueOf)),
    )
    const first = pages[0].library
    const numbers = (await (await first.store()).rows('episodes').toArray()).map((e) => e.number)
    expect(new Set(numbers).size).toBe(3)
    await first.check()
    expect([...first.records.episodes.values()].map((e) => e.phase.kind)).toEqual([
      'released',
      'released',
      'released',
    ])
  })

  test('keep each other’s fields of one brief', async () => {
    const { name, ids } = await begun()
    const [a, b] = [await page(name, true), await page(name, true)]
    const write = (p: typeof a, fields: Partial<{ takeaway: string; description: string }>) => {
      const brief = p.library.records.episodes.get(at(ids, 0))?.brief
      if (!brief) throw new Error('no brief')
      return p.library.perform(writeEpisode, {
        episode: at(ids, 0),
        typed: { brief: { ...brief, ...fields } },
        what: 'the brief',
      })
    }
    valueOf(await write(a, { takeaway: 'You can' }))
    valueOf(await write(b, { description: 'Words' }))
    expect((await (await a.library.store()).rows('episodes').get(at(ids, 0)))?.brief).toMatchObject({
      takeaway: 'You can',
      description: 'Words',
    })
  })

  test('write nothing over a script that they had not read: what they wrote stands behind it', async () => {
    const { name, ids, library } = await begun()
    const out = at(ids, 0)
    await (await library.store()).rows('scripts').delete(out)
    const b = await page(name, true)
    const stored = exampleScript({ Hook: ['Mine.'] }, out)
    await (await library.store()).rows('scripts').put(stored)
    valueOf(
      await b.library.perform(writeScript, {
        episode: out,
        wish: { kind: 'edit', base: [], sections: exampleScript({ Other: ['Pasted.'] }).sections },
      }),
    )
    const now = await (await library.store()).rows('scripts').get(out)
    expect(now?.sections.map((s) => s.title)).toEqual(['Hook', 'Other'])
    expect(b.library.records.scripts.get(out)).toEqual(now)
  })
})

test('an episode that was not read at the start and is changed from a list is read whole before it is shown', async () => {
  const { name, ids, library, show } = await begun()
  const idea = valueOf(await library.perform(jotIdea, { show: show.id, line: 'Oars' })).about[0] ?? ''
  await (await library.store()).rows('scripts').put(exampleScript({ Hook: ['There.'] }, idea))
  const later = await page(name, true)
  expect(later.library.isLoaded(idea)).toBe(false)
  valueOf(
    await later.library.perform(writeEpisode, { episode: at(ids, 0), typed: { topics: ['x'] }, what: 'it' }),
  )
  const changed = later.library.records.episodes.get(idea)
  if (changed)
    await (await later.library.store()).rows('episodes').put({ ...changed, note: 'changed elsewhere' })
  await later.library.ensure([idea])
  expect(later.library.records.scripts.get(idea)?.sections).toHaveLength(1)
})

test('a burst of writes is stored in one go, in its order', async () => {
  const { library, show } = await begun()
  const done = await Promise.all(
    Array.from({ length: 40 }, (_, i) => library.perform(jotIdea, { show: show.id, line: `Line ${i}` })),
  )
  const lines = done.map((d) => valueOf(d).line ?? 0)
  expect([...lines].sort((a, b) => a - b)).toEqual(lines)
  expect(await (await library.store()).rows('episodes').count()).toBe(43)
})

describe('taking back', () => {
  test('takes back its own deed, also when others followed, and is itself taken back', async () => {
    const { library, ids } = await begun()
    const tag = async (i: number, text: string) =>
      valueOf(
        await library.perform(writeEpisode, { episode: at(ids, i), typed: { tags: [text] }, what: text }),
      ).line ?? 0
    const first = await tag(0, 'a')
    await tag(1, 'b')
    valueOf(await library.takeBack([first]))
    const tags = () => ids.map((id) => library.records.episodes.get(id)?.tags.join())
    expect(tags()).toEqual(['', 'b', ''])
    valueOf(await library.step('undo'))
    expect(tags()).toEqual(['a', 'b', ''])
  })

  test('is refused where something later builds on it', async () => {
    const { library, ids } = await begun()
    const write = async (tags: string[], what: string) =>
      valueOf(await library.perform(writeEpisode, { episode: at(ids, 0), typed: { tags }, what })).line ?? 0
    const first = await write(['a'], 'one')
    const second = await write(['a', 'b'], 'two')
    expect(refusalOf(await library.takeBack([first]))).toMatch(/builds on it/)
    // Both together are one step.
    valueOf(await library.takeBack([first, second]))
    expect(library.records.episodes.get(at(ids, 0))?.tags).toEqual([])
    expect(refusalOf(await library.takeBack([second]))).toMatch(/builds on it/)
  })
})

describe('a damaged record', () => {
  test.each([
    ['episodes', { title: 7 }, 3],
    ['episodes', { place: { kind: 'slot', day: 'never' } }, 3],
    ['steps', { minutes: 'long' }, 0],
    ['scripts', { sections: null }, 0],
  ] as const)('of %s is set aside whole, named, and the rest works', async (table, damage, _n) => {
    const { name, library, ids } = await begun()
    const row = await (await library.store()).table(table).toCollection().first()
    await (await library.store()).table(table).put({ ...row, ...damage })
    library.close()
    const again = await page(name, true)
    const own = again.aside().find((a) => a.key === `${table}/${row.id}`)
    expect(own?.row).toMatchObject(damage)
    // What hangs on a damaged episode waits with it.
    expect(again.library.records.episodes.size).toBe(table === 'episodes' ? 2 : 3)
    valueOf(
      await again.library.perform(writeEpisode, {
        episode: table === 'episodes' ? at(ids, ids.indexOf(String(row.id)) === 0 ? 1 : 0) : at(ids, 0),
        typed: { tags: ['works'] },
        what: 'tags',
      }),
    )
    // The back-up restores, with what was set aside beside it.
    const zip = await backupOf(again.library)
    const other = await page(`keeping ${++n}`, true)
    valueOf(await restoreInto(other.library, zip))
    expect(other.aside().map((a) => a.key)).toContain(`${table}/${row.id}`)
    // Mended, it comes back, and with it what hangs on it.
    await mendAside(again.library, own ? [{ ...own, row }] : [])
    expect(again.aside()).toEqual([])
    expect(again.library.records.episodes.size).toBe(3)
  })

  test('of the show takes its episodes along, and all come back with it', async () => {
    const { name, library, show } = await begun()
    await (await library.store()).table('shows').put({ ...show, rhythm: 'weekly' })
    library.close()
    const again = await page(name, true)
    expect([again.library.records.shows.size, again.library.records.episodes.size]).toEqual([0, 0])
    expect(again.aside().length).toBeGreaterThan(3)
    expect(await mendAside(again.library, [])).toBe(0)
    const own = again.aside().find((a) => a.table === 'shows')
    await mendAside(again.library, own ? [{ ...own, row: show }] : [])
    expect([again.library.records.shows.size, again.library.records.episodes.size]).toEqual([1, 3])
    expect(again.library.records.steps.size).toBe(9)
  })
})

test('damaged ideas of a large library are set aside after it was opened, wherever they are; the others stay', async () => {
  const { name, library, show } = await begun()
  const id = valueOf(await library.perform(jotIdea, { show: show.id, line: 'Oars' })).about[0] ?? ''
  const idea = library.records.episodes.get(id)
  const many = Array.from({ length: 3100 }, (_, i) => ({ ...idea, id: `idea ${i}`, code: `${1000 + i}` }))
  const damaged = ['idea 30', 'idea 2900']
  await (
    await library.store()
  )
    .table('episodes')
    .bulkAdd(many.map((e) => (damaged.includes(e.id) ? { ...e, title: 7 } : e)))
  library.close()
  // The pauses in which letters could be typed are left out here.
  jest.useFakeTimers({ doNotFake: ['Date', 'nextTick', 'performance', 'queueMicrotask', 'setImmediate'] })
  const again = await page(name, true)
  expect(again.aside()).toEqual([])
  while (again.aside().length < 2) await jest.advanceTimersByTimeAsync(30)
  jest.useRealTimers()
  expect(again.aside().map((a) => a.key)).toEqual(damaged.map((d) => `episodes/${d}`).sort())
  expect(again.library.records.episodes.size).toBe(3 + 1 + 3100 - 2)
})

test('a store that was emptied under the page is noticed; what the page holds is put back', async () => {
  const { library, troubles, ids } = await begun()
  await Promise.all((await library.store()).tables.map((t) => t.clear()))
  const refused = await library.perform(writeEpisode, {
    episode: at(ids, 0),
    typed: { tags: ['a'] },
    what: 'tags',
  })
  expect(refusalOf(refused)).toMatch(/has emptied Lamp Reel’s store/)
  expect(troubles.at(-1)?.path).toBe('gone')
  expect(await (await library.store()).rows('episodes').count()).toBe(0)
  const other = await page(`keeping ${++n}`, true)
  valueOf(await restoreInto(other.library, await backupOfMemory(library)))
  expect(other.library.records.episodes.size).toBe(3)
  expect(valueOf(await putBack(library))).toEqual({ episodes: 3, withoutWork: 0, files: 0 })
  expect(await (await library.store()).rows('episodes').count()).toBe(3)
  expect(library.records.steps.size).toBe(9)
})

test('nothing is put back over a store that has records, and what was not held is said', async () => {
  const { library } = await begun()
  expect(refusalOf(await putBack(library))).toMatch(/has records again, so nothing was written over them/)
  expect(await (await library.store()).rows('episodes').count()).toBe(3)
  expect(sayPutBack({ episodes: 134, withoutWork: 60, files: 1 })).toBe(
    '134 episodes are back in the store. This page did not hold the steps and scripts of 60 of them and 1 file: restore your last back-up to have them again.',
  )
  expect(sayPutBack({ episodes: 1, withoutWork: 0, files: 0 })).toBe('1 episode is back in the store.')
})

test.each([1, 7])(
  'a store that the browser counts %i versions on is opened with all its records, never called gone',
  async (by) => {
    const { library, ids } = await begun()
    const { name } = await library.store()
    library.close()
    const now = (await indexedDB.databases()).find((d) => d.name === name)?.version ?? 0
    // As a page of another version of the program leaves it: looked at, nothing taken away.
    await new Promise<void>((done) => {
      const request = indexedDB.open(name, now + by)
      request.onsuccess = () => {
        request.result.close()
        done()
      }
    })
    const again = await page(name, true)
    expect(again.library.records.episodes.size).toBe(3)
    valueOf(
      await again.library.perform(writeEpisode, {
        episode: at(ids, 0),
        typed: { tags: ['b'] },
        what: 'tags',
      }),
    )
    again.library.close()
    expect((await page(name, true)).library.records.episodes.get(at(ids, 0))?.tags).toEqual(['b'])
    expect(again.troubles.filter((t) => t.path === 'gone')).toEqual([])
  },
)
