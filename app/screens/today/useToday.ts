import { computed } from 'vue'
import { todayOf } from '@core/views/today'
import { useBoard } from '@app/stores/board'
import { useLibrary } from '@app/stores/library'

/** What Today shows, as the board has it. */
export function useToday() {
  const board = useBoard()
  const library = useLibrary()
  return computed(() =>
    todayOf({
      today: board.today,
      working: board.working,
      placed: board.placed,
      unplaced: board.unplaced,
      released: board.released,
      episodes: library.records.episodes,
      stepIn: board.stepIn,
      blocks: board.load.blocks,
      running: library.settings.running,
    }),
  )
}
