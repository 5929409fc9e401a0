import { useRoute } from 'vue-router'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'

/** Opens the forecast of one late release after another, the gravest first. */
export function useNextLate(): () => boolean {
  const cards = useCards()
  const dialogs = useDialogs()
  const library = useLibrary()
  const route = useRoute()
  return () => {
    // There the key lets an idea go.
    if (route.name === 'sort') return false
    const ids = cards.late.map((c) => c.episode.id)
    const here = dialogs.open?.kind === 'forecast' ? dialogs.open.episode : ''
    const next = ids[(ids.indexOf(here) + 1) % ids.length]
    if (next === undefined) library.say('Nothing is late.')
    else dialogs.show({ kind: 'forecast', episode: next })
    return true
  }
}
