<script setup lang="ts">
import { computed, ref } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import type { Episode } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'

/** One line on the last release while it is fresh: what went well, what to change. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const card = computed(() => cards.cardOf(episode))
const well = ref('')
const change = ref('')
function keep() {
  const said = {
    well: well.value.trim(),
    change: change.value.trim(),
    at: new Date(moment.now).toISOString(),
  }
  void library.perform(writeEpisode, {
    episode: episode.id,
    typed: { lookedBack: said },
    what: 'the line looking back',
  })
}
</script>

<template>
  <form
    class="panel p-4 grid gap-2"
    :aria-label="`Looking back on ${card?.number ?? ''}`"
    @submit.prevent="keep"
  >
    <p>
      <strong>Looking back on {{ card?.number }} {{ card?.title }}</strong
      ><span class="sub"> a line that comes back when the next of its kind begins</span>
    </p>
    <div class="flex flex-wrap gap-2 items-end">
      <input
        v-model="well"
        class="field flex-1 min-w-[180px]"
        maxlength="300"
        aria-label="What went well"
        placeholder="What went well"
      /><input
        v-model="change"
        class="field flex-1 min-w-[180px]"
        maxlength="300"
        aria-label="What to change"
        placeholder="What to change"
      /><button class="btn" :disabled="well.trim() === '' && change.trim() === ''">Keep</button
      ><button type="button" class="btn btn-bare" @click="keep">Nothing</button>
    </div>
  </form>
</template>
