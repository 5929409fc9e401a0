<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { dropEpisodes, reorderIdea, restIdeas, sortIdeas } from '@core/commands/ideas'
import { startWork } from '@core/commands/schedule'
import { addDays } from '@core/rhythm/days'
import type { Episode, IdeaStanding } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useIdeas } from '@app/stores/ideas'
import { useLibrary } from '@app/stores/library'
import { useReading } from '@app/stores/reading'
import { useKeymap } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { shellKeys } from '../shell/keymap'
import { ideasKeys, sortings } from './keymap'
import ChosenBar from './ChosenBar.vue'
import IdeaAside from './IdeaAside.vue'
import IdeaList from './IdeaList.vue'
import IdeasHead from './IdeasHead.vue'
import IdeaWall from './IdeaWall.vue'
import ViewBar from './ViewBar.vue'

/** The list of ideas, or of everything, as the view says; with the one under the cursor beside it. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const desk = useDesk()
const dialogs = useDialogs()
const ideas = useIdeas()
const reading = useReading()
const route = useRoute()
const router = useRouter()
reading.start()

const here = ref(0)
const list = ref<{ show: (row: number, focus: boolean) => void }>()
const rows = computed(() => ideas.shown.rows)
const episodeAt = (i: number): Episode | undefined => {
  const row = rows.value[i]
  return row?.kind === 'episode' ? row.episode : undefined
}
const current = computed(() => episodeAt(here.value))
/** The first episode on or beyond a row, heads of groups passed over. */
function near(i: number, way: 1 | -1): number {
  let at = i
  while (at >= 0 && at < rows.value.length && rows.value[at]?.kind === 'head') at += way
  return at
}
let last: string | undefined
watch(current, (e) => {
  if (e) last = e.id
})
watch(
  rows,
  (next) => {
    // The cursor stays with its idea; where that has gone, with its row.
    const at = next.findIndex((r) => r.kind === 'episode' && r.episode.id === last)
    here.value = at >= 0 ? at : near(Math.min(here.value, Math.max(0, next.length - 1)), -1)
    if (next[here.value]?.kind !== 'episode') here.value = Math.max(0, near(0, 1))
  },
  { immediate: true },
)
onMounted(() => {
  const { idea } = route.query
  if (typeof idea !== 'string') return
  const at = rows.value.findIndex((r) => r.kind === 'episode' && r.episode.code === idea)
  if (at >= 0) go(at, false)
})
function go(to: number, focus = true) {
  const at = near(to, to < here.value ? -1 : 1)
  if (at < 0 || at >= rows.value.length) return
  here.value = at
  void nextTick(() => {
    list.value?.show(at, focus)
  })
}
function pick(e: Episode | undefined, range = false) {
  if (!e) return
  const next = new Set(ideas.chosen)
  if (range && anchor !== undefined) {
    const [from, to] = [
      rows.value.findIndex((r) => r.kind === 'episode' && r.episode.id === anchor),
      rows.value.findIndex((r) => r.kind === 'episode' && r.episode.id === e.id),
    ]
    for (let i = Math.min(from, to); i <= Math.max(from, to); i++) {
      const x = episodeAt(i)
      if (x) next.add(x.id)
    }
  } else if (next.has(e.id)) next.delete(e.id)
  else next.add(e.id)
  anchor = e.id
  ideas.chosen = next
}
let anchor: string | undefined

/** What a key acts on: what is chosen, else the one under the cursor. */
const acted = () => (ideas.picked.length > 0 ? ideas.picked : current.value ? [current.value] : [])
const idsOf = (es: readonly Episode[]) => es.map((e) => e.id)
async function start(e: Episode | undefined) {
  if (!e) return
  const done = await library.perform(startWork, { episode: e.id })
  if (done.ok) void router.push({ name: 'episode', params: { code: e.code } })
}
function dropIdeas() {
  const es = acted().filter((e) => e.phase.kind !== 'released')
  if (es.length > 0) void library.perform(dropEpisodes, { episodes: idsOf(es), why: '' })
}
function sort(standing: IdeaStanding) {
  const es = acted().filter((e) => e.phase.kind === 'idea')
  if (es.length > 0) void library.perform(sortIdeas, { episodes: idsOf(es), standing })
}
function rest() {
  const es = acted().filter((e) => e.phase.kind === 'idea')
  if (es.length > 0)
    void library.perform(restIdeas, { episodes: idsOf(es), until: addDays(moment.today, 28) })
}
function open(e: Episode | undefined) {
  if (!e) return
  void router.push(
    e.phase.kind === 'idea' || e.phase.kind === 'parked' || e.phase.kind === 'dropped'
      ? { name: 'idea', params: { code: e.code } }
      : { name: 'episode', params: { code: e.code } },
  )
}
async function move(by: 1 | -1) {
  const e = current.value
  if (!e || ideas.view.sort.by !== 'hand') return
  const es = ideas.shown.episodes
  const at = es.findIndex((x) => x.id === e.id)
  const to = at + by
  if (to < 0 || to >= es.length) return
  const [before, after] = by < 0 ? [es[to - 1], es[to]] : [es[to], es[to + 1]]
  await library.perform(reorderIdea, { episode: e.id, before: before?.id, after: after?.id }, 'quietly')
  await nextTick()
  list.value?.show(here.value, true)
}
function dropped(id: string, before: Episode | undefined, after: Episode | undefined) {
  if (id !== before?.id && id !== after?.id)
    void library.perform(reorderIdea, { episode: id, before: before?.id, after: after?.id }, 'quietly')
}
useKeymap(ideasKeys, {
  go: ({ which }) => {
    go(here.value + (which === 0 ? -1 : 1))
  },
  ends: ({ which }) => {
    go(which === 0 ? 0 : rows.value.length - 1)
  },
  move: ({ which }) => {
    void move(which === 0 ? -1 : 1)
  },
  open: () => {
    open(current.value)
  },
  pick: ({ event }) => {
    pick(current.value, event.shiftKey)
  },
  all: () => {
    ideas.chosen = new Set(
      ideas.picked.length === ideas.shown.episodes.length ? [] : idsOf(ideas.shown.episodes),
    )
  },
  none: () => {
    ideas.chosen = new Set()
  },
  place: () => {
    const e = current.value
    if (e && ideas.picked.length < 2 && e.phase.kind !== 'released')
      dialogs.show({ kind: 'place', episode: e.id })
  },
  start: () => {
    if (current.value?.phase.kind === 'idea') void start(current.value)
  },
  sort: ({ which }) => {
    const standing = sortings[which]
    if (standing) sort(standing)
  },
  rest,
  drop: dropIdeas,
})
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <IdeasHead />
    <section
      v-if="
        cards.ideas.length === 0 &&
        ideas.shown.episodes.length === 0 &&
        ideas.view.id === 'ideas' &&
        ideas.view.words === ''
      "
      class="panel p-8 text-center"
    >
      <h2 class="text-20 mb-1">No ideas are kept yet</h2>
      <p class="sub mb-4">
        Every half-thought can stand here until a slot wants it. One line is enough; a pasted list works too.
      </p>
      <button class="btn btn-main" @click="desk.toCapture++">
        Jot an idea <KeySign :line="shellKeys.lines.jot" />
      </button>
    </section>
    <template v-else>
      <ViewBar />
      <ChosenBar v-if="ideas.picked.length > 0" />
      <IdeaWall
        v-if="ideas.view.layout === 'wall'"
        :current="current?.id"
        @here="
          (id) => {
            here = Math.max(
              0,
              rows.findIndex((r) => r.kind === 'episode' && r.episode.id === id),
            )
          }
        "
        @open="open"
        @pick="pick"
      />
      <div v-else class="grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_320px] items-start">
        <IdeaList
          ref="list"
          :here="here"
          @here="here = $event"
          @pick="pick"
          @open="open"
          @dropped="dropped"
        />
        <IdeaAside
          v-if="current"
          :key="current.id"
          :episode="current"
          @open="open(current)"
          @start="start(current)"
        />
      </div>
    </template>
  </div>
</template>
