import { effectScope, nextTick, ref } from 'vue'
import { exampleEpisode, exampleRecords } from '@core/examples'
import type { Episode } from '@core/records'
import { deskThatDoes } from '@app/stores/example-desk'
import { useSorting } from './sorting'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('@app/stores/remembered', () => ({ remembered: (_: string, usual: unknown) => ref(usual) }))
let likely: { id: string; likeness: number; words: string[] }[] = []
jest.mock('@app/stores/reading', () => ({
  useReading: () => ({ edition: 0, like: () => Promise.resolve(likely) }),
}))

const idea = (n: number): Episode =>
  exampleEpisode({
    ...{ id: `i${n}`, code: `AB2${n}`, title: `Idea ${n}` },
    phase: { kind: 'idea' },
    createdAt: `2026-11-2${n}T09:00:00.000Z`,
  })

function sorting() {
  likely = []
  const desk = deskThatDoes(exampleRecords([idea(1), idea(2), idea(3)]))
  desk.library.step = () => {
    desk.undo()
    return Promise.resolve()
  }
  const of = effectScope().run(() => useSorting(ref()))
  if (!of) throw new Error('no sorting')
  const phaseOf = (id: string) => desk.library.records.episodes.get(id)?.phase.kind
  return { desk, of, phaseOf }
}
const settled = async () => {
  for (let i = 0; i < 6; i++) await nextTick()
}

describe('sorting ideas', () => {
  test('one after the other, the latest first; what is decided is gone from the row and counted', async () => {
    const { of, desk, phaseOf } = sorting()
    expect(of.row.value.map((e) => e.id)).toEqual(['i3', 'i2', 'i1'])
    of.sort('promising')
    await settled()
    expect([of.current.value?.id, of.done.value]).toEqual(['i2', 1])
    expect(desk.library.records.episodes.get('i3')?.idea.standing).toBe('promising')
    of.dropIdeas()
    await settled()
    expect([of.current.value?.id, of.done.value, phaseOf('i2')]).toEqual(['i1', 2, 'dropped'])
    of.rest(3)
    await settled()
    expect([of.current.value, of.done.value]).toEqual([undefined, 3])
    of.sort('next')
    await settled()
    expect(of.done.value).toBe(3)
  })

  test('what is passed over comes again at the end, once', () => {
    const { of } = sorting()
    of.later()
    expect(of.row.value.map((e) => e.id)).toEqual(['i2', 'i1', 'i3'])
    of.later()
    of.later()
    of.later()
    expect(of.row.value.map((e) => e.id)).toEqual(['i2', 'i1', 'i3'])
  })

  test('back takes the last decision back; a line that was added is no decision', async () => {
    const { of, desk } = sorting()
    of.sort('promising')
    await settled()
    of.add()
    of.added.value = 'With the larch of last year'
    await of.keepLine()
    expect([of.adding.value, of.added.value, of.done.value]).toEqual([false, '', 1])
    expect(desk.library.records.episodes.get('i2')?.note).toContain('larch of last year')
    await of.back()
    expect([of.done.value, desk.library.records.episodes.get('i2')?.note]).toEqual([1, ''])
    await of.back()
    expect([of.done.value, of.current.value?.id]).toEqual([0, 'i3'])
    await of.back()
    expect(of.done.value).toBe(0)
  })

  test('what is like it is told where it is like enough, and takes it in', async () => {
    const { of, desk, phaseOf } = sorting()
    likely = [{ id: 'i1', likeness: 0.3, words: ['larch'] }]
    of.later()
    await settled()
    expect(of.like.value).toBeUndefined()
    likely = [{ id: 'i1', likeness: 0.7, words: ['larch'] }]
    of.later()
    of.later()
    await settled()
    expect([of.current.value?.id, of.like.value?.card.episode.id]).toEqual(['i3', 'i1'])
    of.merge()
    await settled()
    expect(of.row.value.map((e) => e.id).sort()).toEqual(['i1', 'i2'])
    expect([phaseOf('i3'), of.done.value]).toEqual(['dropped', 1])
    expect(desk.library.records.episodes.get('i1')?.phase.kind).toBe('idea')
  })
})
