import { computed } from 'vue'
import { formNames, formOf } from '@core/form'
import type { Episode, Show, WorkView } from '@core/records'
import { useDesk } from './desk'
import { useLibrary } from './library'
import { useMoment } from './moment'

/** What kind episodes are (tutorial, talk, short), and which of them a view of the schedule looks at. */
export function useForms() {
  const library = useLibrary()
  const moment = useMoment()
  const desk = useDesk()
  const of = (episode: Episode): string | undefined => formOf(library.tables.shows, episode)?.name
  const names = computed(() => formNames(moment.shows))
  /** What is looked at: all, too, where the show or kind that was chosen is not there (any more, or in this world). */
  const only = computed<WorkView['only']>(() => {
    const { only: chosen } = desk
    const isThere =
      chosen.kind === 'show'
        ? library.tables.shows.has(chosen.id)
        : chosen.kind === 'form' && names.value.includes(chosen.name)
    return isThere ? chosen : { kind: 'all' }
  })
  /** Whether a view that looks at one show, or one kind, shows an episode. */
  const isShown = (episode: Episode): boolean =>
    only.value.kind === 'all' ||
    (only.value.kind === 'show' ? episode.show === only.value.id : of(episode) === only.value.name)
  /** Whether it shows what is open of a show: of one kind there is nothing open yet. */
  const isShownOf = (show: Show): boolean =>
    only.value.kind === 'all' || (only.value.kind === 'show' && only.value.id === show.id)
  return { of, names, only, isShown, isShownOf }
}
