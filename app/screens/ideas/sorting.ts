import { computed, nextTick, ref, watch } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import { dropEpisodes, mergeIdeas, restIdeas, sortIdeas } from '@core/commands/ideas'
import { type Like } from '@core/ideas/likeness'
import type { Episode, IdeaStanding } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import type { Card } from '@core/views/card'
import { useIdeas } from '@app/stores/ideas'
import { useLibrary } from '@app/stores/library'
import { useReading } from '@app/stores/reading'
import type { Ref } from 'vue'

/** Unsorted ideas one after another, and what can be decided of the one in hand. `line` takes a line to add. */
export function useSorting(line: Ref<HTMLInputElement | undefined>) {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const ideas = useIdeas()
  const reading = useReading()
  /** Passed over for now: they come again at the end. */
  const passed = ref<string[]>([])
  const row = computed(() =>
    [...ideas.unsorted].sort(
      (a, b) =>
        passed.value.indexOf(a.id) - passed.value.indexOf(b.id) || (a.createdAt < b.createdAt ? 1 : -1),
    ),
  )
  const current = computed<Episode | undefined>(() => row.value[0])
  const done = ref(0)
  const adding = ref(false)
  const added = ref('')

  const like = ref<{ like: Like; card: Card }>()
  let turn = 0
  watch(
    () => [current.value?.id, reading.edition] as const,
    ([id], before) => {
      const mine = ++turn
      if (before?.[0] !== id) {
        like.value = undefined
        adding.value = false
        added.value = ''
      }
      const e = current.value
      if (!e) return
      void reading
        .like(e.title, `${e.note} ${e.idea.premise}`, 1, [e.id])
        .then(([first]) => {
          const card = first && first.likeness > 0.4 ? cards.card(first.id) : undefined
          if (mine === turn) like.value = first && card ? { like: first, card } : undefined
        })
        .catch(() => undefined)
    },
    { immediate: true },
  )

  async function decided(run: Promise<{ ok: boolean }>) {
    if ((await run).ok) done.value++
  }
  function sort(standing: IdeaStanding) {
    const e = current.value
    if (e) void decided(library.perform(sortIdeas, { episodes: [e.id], standing }, 'quietly'))
  }
  function dropIdeas() {
    const e = current.value
    if (e) void decided(library.perform(dropEpisodes, { episodes: [e.id], why: '' }, 'quietly'))
  }
  function rest(weeks: number) {
    const e = current.value
    if (e)
      void decided(
        library.perform(restIdeas, { episodes: [e.id], until: addDays(moment.today, weeks * 7) }, 'quietly'),
      )
  }
  const restUntil = ref('')
  function until(day: string) {
    const e = current.value
    restUntil.value = ''
    if (e && day !== '') void decided(library.perform(restIdeas, { episodes: [e.id], until: day }, 'quietly'))
  }
  function merge() {
    const e = current.value
    if (e && like.value)
      void decided(library.perform(mergeIdeas, { into: like.value.card.episode.id, from: e.id }))
  }
  function later() {
    const e = current.value
    if (e) passed.value = [...passed.value.filter((id) => id !== e.id), e.id]
  }
  function add() {
    adding.value = true
    void nextTick(() => line.value?.focus())
  }
  async function keepLine() {
    const e = current.value
    const text = added.value.trim()
    // Closed first, so that the next key is a decision again.
    added.value = ''
    adding.value = false
    if (e && text !== '')
      await library.perform(
        writeEpisode,
        {
          episode: e.id,
          typed: { note: [e.note, text].filter(Boolean).join('\n') },
          what: 'the note',
        },
        'quietly',
      )
  }
  /** Takes the last thing back; where that was a decision, its idea is in the row again. */
  async function back() {
    const open = row.value.length
    await library.step('undo')
    if (row.value.length > open) done.value = Math.max(0, done.value - 1)
  }
  return {
    row,
    current,
    done,
    like,
    adding,
    added,
    restUntil,
    sort,
    dropIdeas,
    rest,
    until,
    merge,
    later,
    add,
    keepLine,
    back,
  }
}
