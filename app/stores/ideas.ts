import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { editSettings } from '@core/commands/settings'
import { fieldsOf } from '@core/ideas/fields'
import { isUnsorted } from '@core/ideas/usable'
import { viewIdeas } from '@core/ideas/viewing'
import { View, type Episode, type Group, type Id, type Test } from '@core/records'
import { useCards } from './cards'
import { useMoment } from './moment'
import { useLibrary } from './library'
import { useReading } from './reading'
import { remembered } from '@app/stores/remembered'

const key = 'lamp-reel.view'
const all: Group = { kind: 'group', join: 'all', of: [] }
const test = (field: string, how: Test['how'], value: string): Test => ({ kind: 'test', field, how, value })
const only = (...of: Group['of']): Group => ({ kind: 'group', join: 'all', of })
const base: View = {
  id: 'ideas',
  name: 'Ideas',
  layout: 'list',
  columns: ['standing', 'topics', 'show', 'jotted'],
  sort: { by: 'hand', down: false },
  group: '',
  where: only(test('phase', 'is', 'idea')),
  words: '',
}

/** The views that everyone has. */
const given: readonly View[] = [
  base,
  {
    ...base,
    id: 'chosen',
    name: 'Next and promising',
    where: only(test('phase', 'is', 'idea'), {
      kind: 'group',
      join: 'any',
      of: [test('standing', 'is', 'next'), test('standing', 'is', 'promising')],
    }),
    group: 'standing',
  },
  {
    ...base,
    id: 'asked',
    name: 'Asked for',
    where: only(test('asked', 'filled', ''), test('phase', 'not', 'let go')),
    columns: ['asked', 'phase', 'topics', 'show'],
    sort: { by: 'asked', down: true },
  },
  {
    ...base,
    id: 'parked',
    name: 'Parked',
    where: only(test('phase', 'is', 'parked')),
    columns: ['topics', 'show', 'changed'],
    sort: { by: 'changed', down: true },
  },
  {
    ...base,
    id: 'every',
    name: 'Every phase',
    where: all,
    columns: ['number', 'phase', 'topics', 'show', 'release'],
    sort: { by: 'changed', down: true },
  },
]

/** The list of episodes as it is looked at: its view, what the view lets through, what is chosen in it. */
export const useIdeas = defineStore('ideas', () => {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const reading = useReading()
  const view = remembered<View>(key, base, (kept) => {
    const read = View.safeParse(kept)
    return read.success ? { ...read.data, words: '' } : undefined
  })

  const views = computed(() => [...given, ...library.settings.views])
  const origin = computed(() => views.value.find((v) => v.id === view.value.id))
  const isChanged = computed(
    () =>
      origin.value === undefined ||
      JSON.stringify({ ...origin.value, words: '' }) !== JSON.stringify({ ...view.value, words: '' }),
  )
  const isOwn = computed(() => library.settings.views.some((v) => v.id === view.value.id))
  const change = (fields: Partial<View>) => {
    view.value = { ...view.value, ...fields }
  }
  const take = (id: Id) => {
    const v = views.value.find((x) => x.id === id)
    if (v) view.value = { ...v }
  }

  const fields = computed(() =>
    fieldsOf({
      shows: library.tables.shows,
      recipes: library.tables.recipes,
      keywords: library.tables.keywords,
      launches: library.tables.launches,
      number: (e) => cards.numbers.get(e.show)?.episodes.get(e.id),
    }),
  )

  /**
   * The words matched by the search, by episode; nothing while none is typed. Until the worker answers,
   * titles and notes are looked through here.
   */
  const found = shallowRef<ReadonlyMap<Id, { words: string[]; script: boolean }>>()
  let asking = 0
  watch(
    () => [view.value.words, reading.edition] as const,
    ([words], before) => {
      const request = ++asking
      if (words.trim() === '') {
        found.value = undefined
        return
      }
      // A long list waits for the worker instead, so that the letter is painted first.
      if (before?.[0] !== words && library.tables.episodes.size < 2000) found.value = byTitle(words)
      setTimeout(() => {
        if (request !== asking) return
        void reading
          .search(words)
          .then((hits) => {
            if (request === asking && hits.length > 0) found.value = new Map(hits.map((h) => [h.id, h]))
          })
          .catch(() => undefined)
      }, 40)
    },
    { immediate: true },
  )
  function byTitle(asked: string): Map<Id, { words: string[]; script: boolean }> {
    const words = asked.toLowerCase().split(/\s+/).filter(Boolean)
    const map = new Map<Id, { words: string[]; script: boolean }>()
    for (const e of library.tables.episodes.values()) {
      const text = `${e.title} ${e.note}`.toLowerCase()
      if (words.every((w) => text.includes(w))) map.set(e.id, { words, script: false })
    }
    return map
  }

  const shown = computed(() =>
    viewIdeas(view.value, library.tables.episodes.values(), fields.value, moment.today, found.value),
  )
  const unsorted = computed(() => cards.ideas.filter((e) => isUnsorted(e, moment.today)))

  const chosen = ref(new Set<Id>())
  watch(shown, ({ episodes }) => {
    if (chosen.value.size === 0) return
    const there = new Set(episodes.map((e) => e.id))
    const kept = [...chosen.value].filter((id) => there.has(id))
    if (kept.length !== chosen.value.size) chosen.value = new Set(kept)
  })
  /** The chosen episodes in the order of the list. */
  const picked = computed<Episode[]>(() =>
    chosen.value.size === 0 ? [] : shown.value.episodes.filter((e) => chosen.value.has(e.id)),
  )

  async function saveView(name: string, id: Id): Promise<boolean> {
    const kept: View = { ...view.value, id, name, words: '' }
    const others = library.settings.views.filter((v) => v.id !== id)
    const done = await library.perform(editSettings, { views: [...others, kept] }, 'quietly')
    if (done.ok) view.value = kept
    return done.ok
  }
  async function dropView(id: Id): Promise<void> {
    const done = await library.perform(editSettings, {
      views: library.settings.views.filter((v) => v.id !== id),
    })
    if (done.ok) view.value = base
  }

  return {
    view,
    views,
    isChanged,
    isOwn,
    change,
    take,
    fields,
    found,
    shown,
    unsorted,
    chosen,
    picked,
    saveView,
    dropView,
  }
})
