<script setup lang="ts">
import { ref } from 'vue'
import { sayDay } from '@core/rhythm/days'
import DateField from '@app/ui/fields/DateField.vue'

/** Spans of days in which nothing goes out. */
const pauses = defineModel<{ from: string; to: string }[]>({ required: true })
const pause = ref({ from: '', to: '' })
function addPause() {
  if (pause.value.from === '') return
  const to = pause.value.to === '' || pause.value.to < pause.value.from ? pause.value.from : pause.value.to
  pauses.value = [...pauses.value, { from: pause.value.from, to }].sort((a, b) => (a.from < b.from ? -1 : 1))
  pause.value = { from: '', to: '' }
}
</script>

<template>
  <div>
    <ul class="flex flex-wrap gap-1.5 my-2" aria-label="Pauses">
      <li v-for="(p, i) in pauses" :key="p.from" class="border border-line rounded-control px-2 py-0.5">
        {{ sayDay(p.from) }} to {{ sayDay(p.to)
        }}<button
          type="button"
          class="ml-1.5"
          :aria-label="`No pause from ${sayDay(p.from)} after all`"
          @click="pauses = pauses.filter((_, n) => n !== i)"
        >
          ×
        </button>
      </li>
    </ul>
    <div class="flex flex-wrap gap-2 items-end">
      <DateField v-model="pause.from" label="Pause from" /><DateField
        v-model="pause.to"
        label="to"
        :min="pause.from"
      /><button type="button" class="btn" @click="addPause">Add the pause</button>
      <slot />
    </div>
  </div>
</template>
