import { writeEpisode } from '@core/commands/episode'
import { importanceOf, nextPriority, type Importance } from '@core/plan/importance'
import type { Episode } from '@core/records'
import { useLibrary } from './library'

/** How important episodes are, and the press that says the next level. */
export function useImportance() {
  const library = useLibrary()
  const of = (episode: Episode): Importance => importanceOf(episode, library.tables.launches.values())
  function press(episode: Episode): void {
    void library.perform(
      writeEpisode,
      {
        episode: episode.id,
        typed: { priority: nextPriority(episode, of(episode)) },
        what: 'how important it is',
      },
      'quietly',
    )
  }
  return { of, press }
}
