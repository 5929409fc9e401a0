<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Cut } from '@core/records'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Drop from '@app/ui/Drop.vue'
import TextField from '@app/ui/fields/TextField.vue'
import LiesWith from '../helper/LiesWith.vue'
import { useJob } from '../helper/useJob'

/** Asks somebody to look at a cut: one after the other, each with a page of their own. */
const { card, cut } = defineProps<{ card: Card; cut: Cut }>()
const library = useLibrary()
const job = useJob(() => card.episode.id, 'review')
const who = ref('')
const fault = ref('')
/** Who looked at cuts before, the latest first, and not at this one yet. */
const known = computed(() => {
  const all = [...library.tables.jobs.values()].filter((j) => j.kind === 'review')
  const here = new Set(cut.notes.flatMap((n) => n.by ?? []))
  const names = all.sort((a, b) => (a.given < b.given ? 1 : -1)).map((j) => j.who)
  return [...new Set(names)].filter((n) => !here.has(n)).slice(0, 3)
})
const message = () =>
  `${job.job.value?.who ?? ''}, would you look at cut ${cut.number} of “${card.title}” (${card.show.title} ${card.number})? Note what you see on your page: ${job.address.value}\n`
async function ask(name: string, close: () => void) {
  const done = await job.give(name)
  fault.value = done.ok ? '' : done.problem.sentence
  if (done.ok) close()
}
</script>

<template>
  <LiesWith v-if="job.job.value" :of="job" :job="job.job.value" :cut="cut" :message="message" />
  <Drop v-else v-slot="{ close }" label="Ask for a look" small>
    <TextField v-model="who" label="Who looks at it" :fault="fault" />
    <button class="btn btn-small btn-main mt-3 w-full" @click="ask(who, close)">Give them a page</button>
    <p v-if="known.length > 0" class="flex flex-wrap gap-1.5 mt-2">
      <button v-for="n in known" :key="n" class="btn btn-small" @click="ask(n, close)">{{ n }}</button>
    </p>
  </Drop>
</template>
