import fc from 'fast-check'
import { effectScope, nextTick, ref } from 'vue'
import { exampleEpisode, exampleRecords } from '@core/examples'
import { keepPerson, mergePeople } from '@core/commands/people'
import type { Found } from '@core/ideas/library-index'
import { folded } from '@core/partners/names'
import type { Records } from '@core/records'
import { deskThatDoes } from '@app/stores/example-desk'
import { liveThrough, someDeeds } from '@app/stores/example-life'
import { usePartners } from '@app/stores/partners'
import { exampleWorld } from '@core/views/example-cards'
import { useFinding, type Entry } from './finding'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('@app/stores/remembered', () => ({ remembered: (_: string, usual: unknown) => ref(usual) }))
type Goal = { name: string; params?: Record<string, string>; query?: Record<string, string> }
const pushed: (Goal | string)[] = []
jest.mock('vue-router', () => ({ useRouter: () => ({ push: (to: Goal | string) => pushed.push(to) }) }))
let inTexts: Found[] = []
jest.mock('@app/stores/reading', () => ({
  useReading: () => ({ edition: 0, search: () => Promise.resolve(inTexts) }),
}))
jest.mock('../registry', () => ({
  places: ['today', 'ideas', 'schedule', 'week'].map((name) => ({ name, title: name, words: '' })),
}))

function finder(records: Records) {
  const desk = deskThatDoes(records)
  const asked = ref('')
  const scope = effectScope()
  const found = scope.run(() => useFinding(asked))
  if (!found) throw new Error('no finder')
  return {
    desk,
    asked,
    found,
    end: () => {
      scope.stop()
    },
  }
}
const all = ({ found }: ReturnType<typeof finder>): Entry[] => found.value.flatMap((g) => g.list)
const texts = (life: ReturnType<typeof finder>) => all(life).map((e) => e.text)
function act(life: ReturnType<typeof finder>, text: string) {
  pushed.length = 0
  all(life)
    .find((e) => e.text === text)
    ?.act()
  return pushed.at(-1)
}
const world = () =>
  exampleRecords([
    exampleEpisode({ id: 'a', code: 'AB22', title: 'Steaming ribs', guests: ['Ines'], sponsor: 'Kelp Rope' }),
    exampleEpisode({ id: 'b', code: 'AB23', title: 'Larch planks', topics: ['wood'] }),
    exampleEpisode({ id: 'c', code: 'AB24', title: 'Old keel', phase: { kind: 'dropped', why: 'too long' } }),
  ])

describe('Find or do', () => {
  test('finds by any words of title, code, topic, guest and sponsor; what was let go too', () => {
    const life = finder(world())
    for (const [words, title] of [
      ['ribs', 'Steaming ribs'],
      ['ab22', 'Steaming ribs'],
      ['ines', 'Steaming ribs'],
      ['kelp rope', 'Steaming ribs'],
      ['PLANKS larch', 'Larch planks'],
      ['wood', 'Larch planks'],
      ['keel', 'Old keel'],
    ] as const) {
      life.asked.value = words
      expect([words, texts(life)]).toEqual([words, expect.arrayContaining([title])])
    }
    life.asked.value = 'ribs larch'
    expect(texts(life)).not.toContain('Steaming ribs')
    life.asked.value = 'keel'
    expect(act(life, 'Old keel')).toEqual({ name: 'ideas', query: { idea: 'AB24' } })
    life.end()
  })

  test('what stands in scripts comes a moment later, behind titles, each once', async () => {
    const life = finder(world())
    inTexts = ['b', 'a'].map((id) => ({ id, words: ['larch'], script: true }))
    life.asked.value = 'larch'
    expect(texts(life).filter((t) => /ribs|planks/.test(t))).toEqual(['Larch planks'])
    for (let i = 0; i < 5; i++) await nextTick()
    expect(texts(life).filter((t) => /ribs|planks/.test(t))).toEqual(['Larch planks', 'Steaming ribs'])
    expect(all(life).find((e) => e.text === 'Steaming ribs')?.note).toMatch(/in its text$/)
    inTexts = []
    life.end()
  })

  test('somebody stands there once, is found by all their names, and leads to who People shows', async () => {
    const life = finder(world())
    const { library } = life.desk
    life.asked.value = 'ines'
    expect(act(life, 'Ines')).toEqual({ name: 'partners', params: { who: 'name:ines' } })
    const fields = {
      ...{
        name: 'Ines Varga',
        roles: ['guest' as const],
        work: 'ferry pilot',
        known: '',
        note: '',
        ways: [],
      },
    }
    await library.perform(keepPerson, { fields })
    await library.perform(mergePeople, { keep: 'Ines Varga', other: 'Ines' })
    expect(texts(life).filter((t) => t.startsWith('Ines'))).toEqual(['Ines Varga'])
    const [person] = library.records.people.values()
    expect(act(life, 'Ines Varga')).toEqual({ name: 'partners', params: { who: person?.id } })
    expect(all(life).find((e) => e.text === 'Ines Varga')?.note).toBe('ferry pilot')
    life.end()
  })

  test('whatever was done, each entry has a key of its own and leads to something that is there', () => {
    let looked = 0
    fc.assert(
      fc.property(someDeeds, fc.constantFrom('a', 'e', 'r', 'rib', 'keel', '1'), (row, words) => {
        const life = finder(exampleWorld())
        life.desk.moment.now = liveThrough(row, life.desk.library.records, life.desk.see)
        life.asked.value = words
        const { records } = life.desk.library
        const codes = new Set([...records.episodes.values()].map((e) => e.code))
        const people = new Set(usePartners().all.map((p) => p.known.id))
        const entries = all(life)
        expect(new Set(entries.map((e) => e.key)).size).toBe(entries.length)
        for (const e of entries) {
          if (!/^name |^[a-z0-9]+$/i.test(e.key) && !records.episodes.has(e.key)) continue
          pushed.length = 0
          if (e.key.startsWith('name ') || records.episodes.has(e.key)) e.act()
          const to = pushed.at(-1)
          if (typeof to !== 'object') continue
          looked++
          if (to.name === 'episode') expect(codes).toContain(to.params?.['code'])
          if (to.name === 'ideas') expect(codes).toContain(to.query?.['idea'])
          if (to.name === 'partners') expect(people).toContain(to.params?.['who'])
        }
        for (const p of usePartners().all)
          if (folded(p.known.name).includes(words)) expect(texts(life)).toContain(p.known.name)
        life.end()
      }),
      { numRuns: 30, seed: 20_261_140, endOnFailure: true },
    )
    expect(looked).toBeGreaterThan(40)
  })
})
