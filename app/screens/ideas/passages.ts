import { computed, ref, watch, type Ref } from 'vue'
import type { Row } from '@core/ideas/viewing'
import { useCards } from '@app/stores/cards'
import { useIdeas } from '@app/stores/ideas'
import { useReading } from '@app/stores/reading'

/** Where only a script has the words that are searched, the passage, by episode; fetched for the rows in sight. */
export function usePassages(inSight: () => readonly Row[]): Ref<Record<string, string>> {
  const cards = useCards()
  const ideas = useIdeas()
  const reading = useReading()
  const passages = ref<Record<string, string>>({})
  const visible = computed(() =>
    inSight().flatMap((r) => {
      return r.kind === 'episode' && ideas.found?.get(r.episode.id)?.script ? [r.episode.id] : []
    }),
  )
  let asking: ReturnType<typeof setTimeout> | undefined
  watch([visible, () => ideas.found], ([ids, found], before) => {
    if (before[1] !== found) passages.value = {}
    const missing = ids.filter((id) => passages.value[id] === undefined)
    clearTimeout(asking)
    if (missing.length > 0)
      asking = setTimeout(() => {
        void reading
          .passages(Object.fromEntries(missing.map((id) => [id, lacking(id)])))
          .then((p) => {
            passages.value = { ...passages.value, ...p }
          })
          .catch(() => undefined)
      }, 60)
  })
  /** The words that an episode’s title does not have: those its script is looked through for. */
  function lacking(id: string): string[] {
    const title = cards.card(id)?.title.toLowerCase() ?? ''
    return (ideas.found?.get(id)?.words ?? []).filter((w) => !title.includes(w))
  }
  return passages
}
