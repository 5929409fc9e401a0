<script setup lang="ts">
import { computed, ref } from 'vue'
import { parkEpisode } from '@core/commands/schedule'
import { useBoard } from '@app/stores/board'
import { useDesk } from '@app/stores/desk'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'

/** Parks what is half made: why, and where it follows another, after which one. */
const library = useLibrary()
const board = useBoard()
const desk = useDesk()
const why = ref('')
const after = ref('')
const card = computed(() => (desk.parking ? board.card(desk.parking) : undefined))
const others = computed(() =>
  board.working.filter((c) => c.episode.id !== desk.parking && c.show.id === card.value?.show.id),
)
async function park() {
  if (!desk.parking) return
  const done = await library.perform(parkEpisode, {
    episode: desk.parking,
    why: why.value,
    after: after.value || undefined,
  })
  if (done.ok) desk.parking = undefined
}
</script>

<template>
  <Sheet :open="true" :title="`Park “${card?.title ?? ''}”`" @close="desk.parking = undefined">
    <form class="grid gap-4" @submit.prevent="park">
      <p class="sub">It leaves its slot; all that is done stays. It waits in Ideas under Parked.</p>
      <label
        ><span class="label">Why</span
        ><input v-model="why" class="field" placeholder="No oak before spring" autocomplete="off"
      /></label>
      <label v-if="others.length > 0"
        ><span class="label">Take it up after</span
        ><select v-model="after" class="field">
          <option value="">no particular one</option>
          <option v-for="c in others" :key="c.episode.id" :value="c.episode.id">
            {{ c.number }} {{ c.title }}
          </option>
        </select></label
      >
      <button class="btn btn-main justify-self-start">Park it</button>
    </form>
  </Sheet>
</template>
