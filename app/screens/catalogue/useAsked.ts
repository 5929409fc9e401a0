import { computed, ref, shallowRef, watch } from 'vue'
import type { Found } from '@core/ideas/library-index'
import type { Episode, Id } from '@core/records'
import { titleOf } from '@core/release/parts'
import { useCards } from '@app/stores/cards'
import { useReading } from '@app/stores/reading'

/** Above so many answers nobody counts words. */
const most = 400

/**
 * What the catalogue is asked: answered at once from titles, then from everything that was written and said; then, where
 * few enough are left, with the passage and how often it is said.
 */
export function useAsked() {
  const cards = useCards()
  const reading = useReading()
  const asked = ref('')
  const found = shallowRef<ReadonlyMap<Id, Found>>()
  const passages = shallowRef<ReadonlyMap<Id, { passage: string; times: number }>>()
  const words = computed(() => asked.value.toLowerCase().split(/\s+/).filter(Boolean))
  let round = 0
  watch([asked, () => reading.edition], async () => {
    const mine = ++round
    if (words.value.length === 0) {
      found.value = undefined
      passages.value = undefined
      return
    }
    try {
      const all = await reading.search(asked.value)
      if (mine !== round) return
      const out = new Set(cards.released.map((e) => e.id))
      const mineOf = all.filter((f) => out.has(f.id))
      found.value = new Map(mineOf.map((f) => [f.id, f]))
      if (mineOf.length > most) {
        passages.value = undefined
        return
      }
      const said = await reading.said(Object.fromEntries(mineOf.map((f) => [f.id, f.words])))
      if (mine === round) passages.value = new Map(Object.entries(said))
    } catch {
      // Titles answer as long as nobody else does.
    }
  })
  return {
    asked,
    /** How often each says it; nothing while nothing is asked. */
    said: computed(() =>
      passages.value ? new Map([...passages.value].map(([id, { times }]) => [id, times])) : undefined,
    ),
    finds: (e: Episode) => {
      if (words.value.length === 0) return true
      if (found.value) return found.value.has(e.id)
      const text = `${titleOf(e)} ${e.topics.join(' ')} ${e.number ?? ''}`.toLowerCase()
      return words.value.every((w) => text.includes(w))
    },
    /** It is about what is asked: its title says so. */
    isAbout: (title: string) => words.value.every((w) => title.toLowerCase().includes(w)),
    passageOf: (id: Id) => passages.value?.get(id)?.passage ?? '',
    wordsOf: (id: Id) => found.value?.get(id)?.words ?? words.value,
  }
}
