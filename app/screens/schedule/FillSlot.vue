<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { jotIdea } from '@core/commands/ideas'
import { placeOnSlot, skipSlot } from '@core/commands/schedule'
import { sayAway, sayDay } from '@core/rhythm/days'
import { useBoard } from '@app/stores/board'
import { useDesk } from '@app/stores/desk'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'

/** What to put on one open slot: ready spares first, then what is begun, then ideas; or a new line. */
const library = useLibrary()
const board = useBoard()
const desk = useDesk()
const asked = ref('')
const field = ref<HTMLInputElement>()
const slot = computed(() => desk.filling)
const show = computed(() => library.records.shows.get(slot.value?.show ?? ''))
const choices = computed(() => {
  const mine = [
    ...board.spares.filter((c) => c.show.id === show.value?.id).map((c) => ({ id: c.episode.id, title: c.title, note: c.standing.ready ? 'spare, ready' : 'spare' })),
    ...board.unplaced.filter((c) => c.show.id === show.value?.id).map((c) => ({ id: c.episode.id, title: c.title, note: 'in work' })),
    ...board.ideas.filter((e) => e.show === show.value?.id).map((e) => ({ id: e.id, title: e.title, note: '' })),
  ]
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return mine.filter((c) => words.every((w) => c.title.toLowerCase().includes(w))).slice(0, 40)
})
onMounted(() => { void nextTick(() => field.value?.focus()) })
function close() {
  desk.filling = undefined
}
async function take(id: string | undefined) {
  const on = slot.value
  close()
  if (id && on) await library.perform(placeOnSlot, { episode: id, day: on.original }, 'aloud')
}
async function fresh() {
  if (asked.value.trim() === '' || !show.value) return
  const made = await library.perform(jotIdea, { show: show.value.id, line: asked.value })
  if (made.ok) await take(made.value.about[0])
}
async function skip() {
  const on = slot.value
  close()
  if (on) await library.perform(skipSlot, { show: on.show, day: on.original, skip: true }, 'aloud')
}
</script>

<template>
  <Sheet :open="true" :title="slot ? `${sayDay(slot.day, board.today)}, ${slot.time}` : ''" @close="close">
    <p class="sub mb-3">{{ show?.title }}, {{ slot ? sayAway(slot.day, board.today) : '' }}, open</p>
    <input ref="field" v-model="asked" class="field" placeholder="Find an idea, or type a new one" aria-label="Find an idea, or type a new one" @keydown.enter.prevent="choices.length > 0 && asked === '' ? undefined : choices[0] ? take(choices[0].id) : fresh()" />
    <ul class="mt-3 grid max-h-[300px] overflow-y-auto -mx-2" aria-label="Ideas to choose from">
      <li v-for="c in choices" :key="c.id"><button class="flex w-full gap-3 items-baseline px-2 py-1.5 text-left rounded-control hover:bg-raised" @click="take(c.id)"><span class="flex-1">{{ c.title }}</span><span class="sub">{{ c.note }}</span></button></li>
    </ul>
    <p v-if="choices.length === 0" class="sub">{{ asked ? 'No idea has these words.' : 'No ideas are kept for this show yet. Type one above.' }}</p>
    <div class="mt-4 flex gap-2">
      <button v-if="asked.trim()" class="btn btn-main" @click="fresh">Take “{{ asked.trim().slice(0, 30) }}” as new</button>
      <button class="btn ml-auto" @click="skip">Skip this slot once</button>
    </div>
  </Sheet>
</template>
