import { computed } from 'vue'
import { formNames, formOf } from '@core/form'
import type { Episode, Show } from '@core/records'
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
  /** Whether a view that looks at one show, or one kind, shows an episode. */
  const isShown = (episode: Episode): boolean =>
    desk.only.kind === 'all' ||
    (desk.only.kind === 'show' ? episode.show === desk.only.id : of(episode) === desk.only.name)
  /** Whether it shows what is open of a show: of one kind there is nothing open yet. */
  const isShownOf = (show: Show): boolean =>
    desk.only.kind === 'all' || (desk.only.kind === 'show' && desk.only.id === show.id)
  return { of, names, isShown, isShownOf }
}
