import { computed } from 'vue'
import { todayOf } from '@core/views/today'
import { useCards } from '@app/stores/cards'
import { useSessions } from '@app/stores/sessions'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'

/** What Today shows, from the stores. */
export function useToday() {
  const cards = useCards()
  const moment = useMoment()
  const workload = useWorkload()
  const library = useLibrary()
  const sessions = useSessions()
  return computed(() =>
    todayOf({
      today: moment.today,
      working: cards.withWork,
      dated: [...cards.placed, ...cards.following],
      unplaced: cards.unplaced,
      released: cards.released,
      episodes: library.tables.episodes,
      stepIn: cards.stepIn,
      blocks: workload.load.blocks,
      sessions: sessions.all,
      jobs: library.tables.jobs.values(),
      cuts: library.tables.cuts.values(),
      running: library.settings.running,
    }),
  )
}
