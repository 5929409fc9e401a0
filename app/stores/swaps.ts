import { defineStore } from 'pinia'
import { computed } from 'vue'
import { swapsOf } from '@core/results/swap'
import { useCards } from './cards'
import { useMoment } from './moment'

/** The pictures that figures say to change, of every show; the one that runs lowest first. */
export const useSwaps = defineStore('swaps', () => {
  const cards = useCards()
  const moment = useMoment()
  const all = computed(() =>
    moment.shows.flatMap((show) =>
      swapsOf(cards.released.filter((e) => e.show === show.id).reverse(), moment.now).sort(
        (a, b) => a.times - b.times,
      ),
    ),
  )
  return { all }
})
