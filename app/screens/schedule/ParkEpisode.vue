<script setup lang="ts">
import { computed, ref } from 'vue'
import { parkEpisode } from '@core/commands/schedule'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** Parks what is half made: why, and where it follows another, after which one. */
const { id } = defineProps<{ id: string }>()
const library = useLibrary()
const cards = useCards()
const dialogs = useDialogs()
const why = ref('')
const after = ref('')
const card = computed(() => cards.card(id))
const others = computed(() =>
  cards.working.filter((c) => c.episode.id !== id && c.show.id === card.value?.show.id),
)
async function park() {
  const done = await library.perform(parkEpisode, {
    episode: id,
    why: why.value,
    after: after.value || undefined,
  })
  if (done.ok) dialogs.close()
}
</script>

<template>
  <Sheet :open="true" :title="`Park “${card?.title ?? ''}”`" @close="dialogs.close()">
    <form class="grid gap-4" @submit.prevent="park">
      <p class="sub">It leaves its slot; all that is done stays. It waits in Ideas under Parked.</p>
      <TextField v-model="why" label="Why" placeholder="No oak before spring" />
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
