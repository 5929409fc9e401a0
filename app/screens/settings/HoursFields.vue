<script setup lang="ts">
import { weekdayName } from '@core/rhythm/days'
import NumberField from '@app/ui/fields/NumberField.vue'

/** Minutes per weekday, Monday first, shown as hours. A column is as high as its hours. */
const hours = defineModel<number[]>({ required: true })

function set(day: number, given: number) {
  hours.value = hours.value.map((m, i) => (i === day ? Math.round(given * 60) : m))
}
</script>

<template>
  <div class="flex gap-1.5" role="group" aria-label="Hours on each weekday">
    <div v-for="(minutes, day) in hours" :key="day" class="flex-1 min-w-0 text-center">
      <span class="flex items-end h-[44px] mb-1 border-b border-line" aria-hidden="true"
        ><span
          class="block w-full bg-ink-3 rounded-t-[3px]"
          :style="{ height: `${Math.min(44, minutes / 6)}px` }"
      /></span>
      <span class="text-12" :class="minutes ? '' : 'text-ink-3'">{{ weekdayName(day).slice(0, 3) }}</span>
      <NumberField
        :model-value="minutes / 60"
        field="field px-1 text-center mt-1 font-mono text-12 [appearance:textfield]"
        :label="`Hours on ${weekdayName(day)}`"
        hidden
        :min="0"
        :max="24"
        :step="0.1"
        @update:model-value="set(day, $event)"
      />
    </div>
  </div>
</template>
