import { writeEpisode, type Typed } from '@core/commands/episode'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'

/**
 * Gives a function that writes typed fields of a card's episode, each under the name it has in the history.
 */
export function useWriting(card: () => Card): (typed: Typed, what: string) => Promise<void> {
  const library = useLibrary()
  return async (typed, what) => {
    await library.perform(writeEpisode, { episode: card().episode.id, typed, what }, 'quietly')
  }
}
