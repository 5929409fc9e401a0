import { computed, watch, type Ref } from 'vue'
import { sameTopic, startFor, type Start } from '@core/ideas/start'
import type { Episode } from '@core/records'
import { strictest } from '@core/release/parts'
import { releaseOf } from '@core/rhythm/slots'
import { useCards } from './cards'
import { useLibrary } from './library'

/** A draft for a start of an episode, by the creator's own earlier scripts on its topic; made while it is wanted. */
export function useStart(of: () => Episode, wanted: Readonly<Ref<boolean>>) {
  const library = useLibrary()
  const cards = useCards()
  const show = computed(() => library.tables.shows.get(of().show))
  const recipe = computed(() => library.tables.recipes.get(show.value?.recipe ?? ''))
  const past = computed(() => sameTopic(of(), library.tables.episodes.values(), 12))
  watch([wanted, past], () => {
    if (wanted.value) void library.ensure([...past.value.map((e) => e.id), of().id])
  })
  return computed((): Start | undefined => {
    if (!wanted.value || !show.value || !recipe.value) return undefined
    const { records } = library
    const earlier = past.value.flatMap((e) => {
      const script = records.scripts.get(e.id)
      const card = cards.card(e.id)
      return script && card ? [{ episode: e, script, number: card.number }] : []
    })
    const outlets = show.value.outlets.flatMap((id) => records.outlets.get(id) ?? [])
    return startFor({
      episode: of(),
      show: show.value,
      recipe: recipe.value,
      keywords: of().idea.keywords.flatMap((id) => records.keywords.get(id) ?? []),
      earlier,
      release: releaseOf(of(), show.value)?.day,
      titleLimit: strictest(outlets).title,
    })
  })
}
