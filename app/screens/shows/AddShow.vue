<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { addShow } from '@core/commands/shows'
import type { RhythmWish } from '@core/rhythm/rule'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import RhythmFields from './RhythmFields.vue'
import TextField from '@app/ui/fields/TextField.vue'

const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
const router = useRouter()
const title = ref('')
const kind = ref<'video' | 'audio'>('audio')
const wish = ref<RhythmWish>({ kind: 'week', every: 2, weekdays: [1] })
const time = ref('06:30')
const start = ref(moment.today)
const zone = ref(moment.shows[0]?.zone ?? 'UTC')
const fault = ref('')
async function add() {
  const done = await library.perform(addShow, {
    title: title.value,
    kind: kind.value,
    zone: zone.value,
    rhythm: wish.value,
    time: time.value,
    start: start.value,
    hours: library.settings.hours,
  })
  fault.value = done.ok ? '' : done.problem.sentence
  if (!done.ok) return
  emit('close')
  const made = moment.shows.at(-1)
  if (made) void router.push({ name: 'shows', params: { show: made.id } })
}
</script>

<template>
  <Sheet :open="true" title="Add a show" wide @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="add">
      <TextField v-model="title" label="Name of the show" maxlength="80" />
      <div class="flex gap-2" role="radiogroup" aria-label="It is">
        <button
          v-for="k in ['video', 'audio'] as const"
          :key="k"
          type="button"
          role="radio"
          class="btn"
          :class="kind === k ? 'border-ink bg-raised' : ''"
          :aria-checked="kind === k"
          @click="kind = k"
        >
          {{ k === 'video' ? 'Video' : 'Audio' }}
        </button>
      </div>
      <RhythmFields v-model:wish="wish" v-model:time="time" v-model:start="start" v-model:zone="zone" />
      <p v-if="fault" role="alert" class="late">{{ fault }}</p>
      <button class="btn btn-main justify-self-start">Add the show</button>
    </form>
  </Sheet>
</template>
