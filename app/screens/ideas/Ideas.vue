<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { GripVertical } from '@lucide/vue'
import { writeEpisode } from '@core/commands/episode'
import { dropEpisodes } from '@core/commands/ideas'
import { startWork } from '@core/commands/schedule'
import type { Episode } from '@core/model'
import { sayAway } from '@core/rhythm/days'
import { useBoard } from '@app/stores/board'
import { useDesk } from '@app/stores/desk'
import { useLibrary } from '@app/stores/library'
import ListHead from '@app/ui/ListHead.vue'
import { useKeys } from '@app/ui/keys'

const library = useLibrary()
const board = useBoard()
const desk = useDesk()
const route = useRoute()
const router = useRouter()

const asked = ref('')
const only = ref('')
const here = ref(0)
const scroller = ref<HTMLElement>()
const list = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return board.ideas.filter((e) => (only.value === '' || e.show === only.value) && words.every((w) => `${e.title} ${e.note}`.toLowerCase().includes(w)))
})
const shows = computed(() => new Map(board.shows.map((s) => [s.id, s])))
watch(() => list.value.length, (n) => { here.value = Math.min(here.value, Math.max(0, n - 1)) })
const chosen = computed(() => list.value[here.value])

const rows = useVirtualizer(computed(() => ({ count: list.value.length, getScrollElement: () => scroller.value ?? null, estimateSize: () => 49, overscan: 12, getItemKey: (i: number) => list.value[i]?.id ?? i })))

onMounted(() => {
  const at = list.value.findIndex((e) => e.code === route.query['idea'])
  if (at >= 0) { here.value = at; rows.value.scrollToIndex(at, { align: 'center' }) }
})
function go(to: number) {
  if (to < 0 || to >= list.value.length) return
  here.value = to
  rows.value.scrollToIndex(to)
  void nextTick(() => { scroller.value?.querySelector<HTMLElement>(`[data-row="${to}"]`)?.focus({ preventScroll: true }) })
}
async function start(idea: Episode | undefined) {
  if (!idea) return
  const done = await library.perform(startWork, { episode: idea.id }, 'aloud')
  if (done.ok) void router.push({ name: 'episode', params: { code: idea.code } })
}
function letGo(idea: Episode | undefined) {
  if (idea) void library.perform(dropEpisodes, { episodes: [idea.id], why: '' }, 'aloud')
}
function place(idea: Episode | undefined) {
  if (idea) desk.placing = idea.id
}
function carry(event: DragEvent, idea: Episode) {
  event.dataTransfer?.setData('text/lamp-idea', idea.id)
  event.dataTransfer?.setData(`text/lamp-${idea.show}`, '')
  event.dataTransfer?.setData('text/plain', idea.title)
}
function typed(idea: Episode, field: 'title' | 'note', event: Event) {
  if (!(event.target instanceof HTMLInputElement) && !(event.target instanceof HTMLTextAreaElement)) return
  // An emptied title waits for what is typed next; left empty, the old one comes back.
  if (field === 'title' && event.target.value.trim() === '') { if (event.type === 'blur') event.target.value = idea.title; return }
  if (event.type === 'blur') return
  void library.perform(writeEpisode, { episode: idea.id, typed: { [field]: event.target.value }, what: field === 'title' ? 'the working title' : 'the note' })
}
useKeys({
  ArrowDown: () => { go(here.value + 1) },
  ArrowUp: () => { go(here.value - 1) },
  p: () => { place(chosen.value) },
  s: () => { void start(chosen.value) },
  Delete: () => { letGo(chosen.value) },
})
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <ListHead v-model:only="only" v-model:asked="asked" title="Ideas" :count="board.ideas.length" noun="kept" :shown="list.length" :shows="board.shows" />
    <section v-if="board.ideas.length === 0" class="panel p-8 text-center">
      <h2 class="text-20 mb-1">No ideas are kept yet</h2>
      <p class="sub mb-4">Every half-thought can stand here until a slot wants it. One line is enough.</p>
      <button class="btn btn-main" @click="desk.toCapture++">Jot an idea <span class="key">I</span></button>
    </section>
    <div v-else class="grid grid-cols-1 gap-5 lg:grid-cols-[minmax(0,1fr)_360px] items-start">
      <div class="panel overflow-hidden">
        <div ref="scroller" class="h-[calc(100vh-232px)] min-h-[320px] overflow-y-auto">
          <ul class="relative" aria-label="Ideas" :style="{ height: `${rows.getTotalSize()}px` }">
            <li v-for="row in rows.getVirtualItems()" :key="String(row.key)" class="absolute inset-x-0 top-0" :style="{ transform: `translateY(${row.start}px)`, height: `${row.size}px` }">
              <button v-if="list[row.index]" class="idea" :class="{ here: row.index === here }" :data-row="row.index" :aria-current="row.index === here" draggable="true" @dragstart="carry($event, list[row.index]!)" @click="here = row.index" @focus="here = row.index" @dblclick="place(list[row.index])">
                <GripVertical :size="14" class="text-ink-3 flex-none" aria-hidden="true" />
                <span class="flex-1 min-w-0"><span class="block truncate font-medium">{{ list[row.index]?.title }}</span><span v-if="list[row.index]?.note" class="sub block truncate">{{ list[row.index]?.note }}</span></span>
                <span class="sub max-sm:hidden whitespace-nowrap">{{ shows.get(list[row.index]?.show ?? '')?.title }}</span>
                <span class="num w-[72px] text-right text-11">{{ sayAway(list[row.index]?.createdAt.slice(0, 10) ?? board.today, board.today) }}</span>
              </button>
            </li>
          </ul>
        </div>
      </div>
      <aside v-if="chosen" :key="chosen.id" class="panel p-4 grid gap-3" aria-label="The chosen idea">
        <label><span class="label">Working title</span><textarea class="field text-16 font-medium" rows="2" :value="chosen.title" maxlength="300" @input="typed(chosen, 'title', $event)" @blur="typed(chosen, 'title', $event)" /></label>
        <label><span class="label">Note</span><textarea class="field min-h-[90px]" rows="4" :value="chosen.note" placeholder="Why, for whom, what to show" @input="typed(chosen, 'note', $event)" /></label>
        <p class="sub"><span class="num">{{ chosen.code }}</span> {{ shows.get(chosen.show)?.title }}, jotted {{ sayAway(chosen.createdAt.slice(0, 10), board.today) }}</p>
        <div class="flex flex-wrap gap-2">
          <button class="btn btn-main flex-1" @click="place(chosen)">Put on a slot <span class="key">P</span></button>
          <button class="btn" @click="start(chosen)">Start <span class="key">S</span></button>
        </div>
        <button class="btn btn-bare btn-small justify-self-start text-ink-2" @click="letGo(chosen)">Let it go <span class="key">Del</span></button>
        <p class="sub border-t border-faint pt-3">Or drag it onto an open frame of the strip.</p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.idea { display: flex; align-items: center; gap: 10px; width: 100%; height: 100%; padding: 0 14px 0 8px; text-align: left; border-bottom: 1px solid var(--faint); border-left: 2px solid transparent; cursor: grab; }
.idea:hover { background: color-mix(in oklab, var(--raised) 60%, transparent); }
.idea.here { background: var(--raised); border-left-color: var(--ink); }
.idea:focus-visible { outline-offset: -2px; }
</style>
