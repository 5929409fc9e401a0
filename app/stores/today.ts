import { defineStore } from 'pinia'
import { computed } from 'vue'
import { todayOf } from '@core/views/today'
import { localAt } from '@core/rhythm/zone'
import { useCards } from './cards'
import { useSessions } from './sessions'
import { useMoment } from './moment'
import { useWorkload } from './workload'
import { useLibrary } from './library'

/** What there is to do today, from the stores: for Today and for the phone. */
export const useToday = defineStore('today', () => {
  const cards = useCards()
  const moment = useMoment()
  const workload = useWorkload()
  const library = useLibrary()
  const sessions = useSessions()
  const quarter = computed(() => Math.floor(moment.minute / 900_000) * 900_000)
  const clock = computed(() => localAt(quarter.value, moment.zone).time)
  const day = computed(() =>
    todayOf({
      today: moment.today,
      clock: clock.value,
      working: cards.withWork,
      dated: [...cards.placed, ...cards.following],
      unplaced: cards.unplaced,
      released: cards.released,
      episodes: library.tables.episodes,
      stepIn: cards.stepIn,
      blocks: workload.load.blocks,
      tasks: workload.open.tasks,
      minutes: workload.figuresOf(moment.today),
      sessions: sessions.all,
      jobs: library.tables.jobs.values(),
      cuts: library.tables.cuts.values(),
      running: library.settings.running,
    }),
  )
  return { day }
})
