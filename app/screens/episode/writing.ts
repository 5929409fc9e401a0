import { writeEpisode, type Typed } from '@core/commands/episode'
import type { FileRecord } from '@core/commands/change'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'

/**
 * Gives a function that writes typed fields of a card's episode, each under the name it has in the history.
 */
export function useWriting(
  card: () => Card,
): (typed: Typed, what: string, files?: FileRecord[]) => Promise<void> {
  const library = useLibrary()
  return async (typed, what, files) => {
    await library.perform(
      writeEpisode,
      { episode: card().episode.id, typed, what, ...(files ? { files } : {}) },
      'quietly',
    )
  }
}
