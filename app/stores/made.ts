import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { recipeFor } from '@core/commands/of-episode'
import { madeOf, type Made } from '@core/learnt/made'
import type { Id, Step } from '@core/records'
import { useCards } from './cards'
import { useLibrary } from './library'

/** How released episodes were made: their steps are read once, a moment after it is first asked. */
export const useMade = defineStore('made', () => {
  const library = useLibrary()
  const cards = useCards()
  const all = shallowRef<readonly Made[]>([])
  const state = ref<'reading' | 'there'>('reading')
  const wanted = ref(false)
  let round = 0

  /** Steps of the store, with what this page has of them since. */
  async function read(): Promise<void> {
    const mine = ++round
    const released = [...cards.released].reverse()
    const stored = await library.stepsOf(released.map((e) => e.id))
    if (mine !== round) return
    const by = new Map<Id, Step[]>()
    for (const s of stored) {
      const step = library.records.steps.get(s.id) ?? s
      const row = by.get(s.episode)
      if (row) row.push(step)
      else by.set(s.episode, [step])
    }
    all.value = released.flatMap((e) => {
      const show = library.records.shows.get(e.show)
      const recipe = recipeFor(library.records, e) ?? { stages: [] }
      const made = show && madeOf(e, recipe, by.get(e.id) ?? [], show.zone)
      return made ? [made] : []
    })
    state.value = 'there'
  }
  watch([() => cards.released, () => library.records.recipes, wanted], () => {
    if (wanted.value) void read()
  })
  return {
    all,
    state,
    want: () => {
      wanted.value = true
    },
  }
})
