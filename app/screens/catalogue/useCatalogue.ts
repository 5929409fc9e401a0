import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { linkEpisodes, notePasted } from '@core/commands/catalogue'
import { followUp } from '@core/commands/ideas'
import type { Like } from '@core/ideas/likeness'
import type { Episode, Id } from '@core/records'
import { titleOf } from '@core/release/parts'
import {
  answerOf,
  listAge,
  neighbours,
  passes,
  sumsOf,
  type CatalogueFilter,
  type CatalogueRow,
} from '@core/views/catalogue'
import { useLibrary } from '@app/stores/library'
import { useMade } from '@app/stores/made'
import { useMoment } from '@app/stores/moment'
import { useOut } from '@app/stores/out'
import { useReading } from '@app/stores/reading'
import { useSortable } from '@app/ui/table/sortable'
import { useAsked } from './useAsked'

/** Everything that is out: what is looked for, what is looked at, and what can be done with it. */
export function useCatalogue() {
  const library = useLibrary()
  const moment = useMoment()
  const made = useMade()
  const out = useOut()
  const reading = useReading()
  const router = useRouter()
  made.want()
  const only = ref('')
  const filter = ref<CatalogueFilter>('all')
  const question = useAsked()
  const arcs = computed(() => out.arcs)
  const all = computed(() => {
    const said = question.said.value
    return said ? out.rows.map((r) => ({ ...r, said: said.get(r.episode.id) ?? 0 })) : out.rows
  })
  const byId = computed(() => new Map(all.value.map((r) => [r.episode.id, r])))
  /** What is left of the question, of the show and of the filter; in the order of release, the latest first. */
  const rows = computed(() =>
    all.value.filter(
      (r) =>
        (only.value === '' || r.show.id === only.value) &&
        passes(filter.value, r, moment.today) &&
        question.finds(r.episode),
    ),
  )
  const { headings, rows: sorted } = useSortable<CatalogueRow>(
    rows,
    [
      { id: 'day', label: 'Out', of: (r) => r.day, down: true },
      { id: 'title', label: 'Title', of: (r) => r.title.toLowerCase() },
      { id: 'said', label: 'Said', of: (r) => r.said, down: true },
      { id: 'minutes', label: 'Hours', of: (r) => r.minutes, down: true },
      { id: 'views', label: `Views ${listAge} d`, of: (r) => r.views, down: true },
      { id: 'times', label: 'Usual', of: (r) => r.times, down: true },
      { id: 'links', label: 'Links', of: (r) => r.links, down: true },
      { id: 'made', label: 'Made', of: (r) => r.made, down: true },
    ],
    'day',
  )
  const counts = computed(() => {
    const of = all.value.filter((r) => only.value === '' || r.show.id === only.value)
    const count = (f: CatalogueFilter) => of.filter((r) => passes(f, r, moment.today)).length
    return { unlinked: count('unlinked'), again: count('again'), paste: count('paste') }
  })
  const answer = computed(() => {
    if (question.asked.value.trim() === '') return ''
    const headed = rows.value.filter((r) => question.isAbout(r.title))
    return answerOf(question.asked.value, headed, rows.value.length - headed.length)
  })

  const chosen = ref<Id>()
  const here = computed(() => {
    const id = chosen.value
    return (id === undefined ? undefined : rows.value.find((r) => r.episode.id === id)) ?? rows.value[0]
  })
  const linked = computed(() => (here.value ? neighbours(here.value.episode.id, arcs.value, byId.value) : []))
  /** What is like it and not linked with it yet, with the words that they share. */
  const likely = shallowRef<{ row: CatalogueRow; words: string[] }[]>([])
  watch(
    [() => here.value?.episode, linked, () => reading.edition],
    async ([episode]) => {
      likely.value = []
      if (!episode) return
      const found = await like(episode)
      if (here.value?.episode.id !== episode.id) return
      const known = new Set([episode.id, ...linked.value.map((l) => l.episode.id)])
      likely.value = found.flatMap((l) => {
        const row = byId.value.get(l.id)
        return row && !known.has(l.id) && l.likeness >= 0.12 ? [{ row, words: l.words.slice(0, 2) }] : []
      })
    },
    { immediate: true },
  )
  async function like(episode: Episode): Promise<Like[]> {
    const head = [titleOf(episode), ...episode.topics, ...episode.tags].join(' ')
    try {
      const found = await reading.like(head, episode.note, 12, [episode.id])
      return found.filter((l) => byId.value.has(l.id)).slice(0, 5)
    } catch {
      return []
    }
  }
  /** At most so many links are offered at once. */
  const offered = computed(() => likely.value.slice(0, 2))
  const follows = computed(() => {
    const id = here.value?.episode.id
    for (const e of library.tables.episodes.values())
      if (e.follows !== undefined && e.follows === id && e.phase.kind !== 'dropped') return e
    return undefined
  })

  return {
    all,
    rows,
    headings,
    sorted,
    byId,
    sums: computed(() => sumsOf(rows.value)),
    only,
    filter,
    question,
    counts,
    answer,
    arcs,
    here,
    linked,
    likely,
    offered,
    follows,
    look: (id: Id) => {
      chosen.value = id
    },
    turn: (list: readonly CatalogueRow[], by: -1 | 1) => {
      const at = list.findIndex((r) => r.episode.id === here.value?.episode.id)
      const next = list[at + by]
      if (next) chosen.value = next.episode.id
      return next !== undefined
    },
    open: () => {
      if (here.value) void router.push({ name: 'episode', params: { code: here.value.episode.code } })
    },
    link: () => {
      const id = here.value?.episode.id
      if (id === undefined || offered.value.length === 0) return false
      void library.perform(linkEpisodes, { episode: id, others: offered.value.map((o) => o.row.episode.id) })
      return true
    },
    followUp: () => {
      if (here.value) void library.perform(followUp, { episode: here.value.episode.id })
    },
    pasted: (episode: Id, links: readonly Id[]) => {
      void library.perform(notePasted, { episode, links, pasted: true })
    },
  }
}
export type CatalogueHere = ReturnType<typeof useCatalogue>
