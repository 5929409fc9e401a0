import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { recipeFor } from '@core/commands/of-episode'
import { madeOf, type Made } from '@core/learnt/made'
import type { Day, Episode, Id, Step } from '@core/records'
import { useCards } from './cards'
import { useLibrary } from './library'

/** So many episodes' steps are read at once; between two of them the page goes on. */
const batch = 150

/**
 * How released episodes were made: their steps are read a moment after it is first asked, the latest first, so that a
 * year is there long before all of a large library.
 */
export const useMade = defineStore('made', () => {
  const library = useLibrary()
  const cards = useCards()
  /** In the order of release, as far as they were read. */
  const all = shallowRef<readonly Made[]>([])
  /** From this day on all are there; nothing while none is. */
  const since = ref<Day>()
  const wanted = ref(false)
  /** The show whose episodes are read first. */
  const first = ref<Id>()
  let round = 0

  function madeFrom(episodes: readonly Episode[], steps: readonly Step[]): Made[] {
    const by = new Map<Id, Step[]>()
    for (const s of steps) {
      const step = library.tables.steps.get(s.id) ?? s
      const row = by.get(s.episode)
      if (row) row.push(step)
      else by.set(s.episode, [step])
    }
    return episodes.flatMap((e) => {
      const show = library.tables.shows.get(e.show)
      const recipe = recipeFor(library.tables, e) ?? { stages: [] }
      const made = show && madeOf(e, recipe, by.get(e.id) ?? [], show.zone)
      return made ? [made] : []
    })
  }
  async function read(): Promise<void> {
    const mine = ++round
    // What is loaded may have been worked on since; the rest is as it was.
    const loaded = new Set([...library.tables.steps.values()].map((s) => s.episode))
    const known = new Map(all.value.flatMap((m) => (loaded.has(m.episode.id) ? [] : [[m.episode, m]])))
    const { released } = cards
    const order = [
      ...released.filter((e) => e.show === first.value),
      ...released.filter((e) => e.show !== first.value),
    ]
    const found: Made[] = []
    for (let at = 0; at < order.length; at += batch) {
      const some = order.slice(at, at + batch)
      const fresh = some.filter((e) => !known.has(e))
      const steps = fresh.length === 0 ? [] : await library.stepsOf(fresh.map((e) => e.id))
      if (mine !== round) return
      found.push(...some.flatMap((e) => known.get(e) ?? []), ...madeFrom(fresh, steps))
      const isLast = at + batch >= order.length
      // A large library is shown at a few times, not at each batch.
      if (at < 4 * batch || isLast) {
        all.value = [...found].sort((a, b) => a.at - b.at)
        since.value = isLast ? '' : (found.at(-1)?.day ?? '9')
      }
    }
    if (order.length === 0) since.value = ''
  }
  watch(
    [() => cards.released, () => library.tables.recipes, () => library.tables.steps, wanted, first],
    () => {
      if (wanted.value) void read()
    },
  )
  return {
    all,
    since,
    /** Reads from now on, the episodes of a show first. */
    want: (show?: Id) => {
      wanted.value = true
      if (show !== undefined) first.value = show
    },
  }
})
