<script setup lang="ts">
import { ref } from 'vue'
import type { Card } from '@core/views/card'
import Drop from '@app/ui/Drop.vue'
import TextField from '@app/ui/fields/TextField.vue'
import LiesWith from '../../episode/helper/LiesWith.vue'
import { useJob } from '../../episode/helper/useJob'

/** Gives the hand-over of an episode to an assistant: a page with every outlet's fields, to copy over and tick. */
const { card } = defineProps<{ card: Card }>()
const job = useJob(() => card.episode.id, 'release')
const who = ref('')
const fault = ref('')
const message = () =>
  `${job.job.value?.who ?? ''}, “${card.title}” (${card.show.title} ${card.number}) is ready to go to its outlets. All fields are on your page; say there what is uploaded and scheduled: ${job.address.value}\n`
async function give() {
  const done = await job.give(who.value)
  fault.value = done.ok ? '' : done.problem.sentence
}
</script>

<template>
  <LiesWith v-if="job.job.value" :of="job" :job="job.job.value" :message="message" />
  <Drop v-else label="To an assistant" small>
    <TextField v-model="who" label="Who hands it over" :fault="fault" />
    <button class="btn btn-small btn-main mt-3" @click="give">Give them a page</button>
  </Drop>
</template>
