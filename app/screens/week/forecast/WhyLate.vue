<script setup lang="ts">
import { sayDay } from '@core/rhythm/days'
import type { Lateness } from '@core/views/lateness'
import Flag from '@app/ui/Flag.vue'

/** The late steps, what each waits for, and what stands behind them. */
const { why } = defineProps<{ why: readonly Lateness[] }>()
const emit = defineEmits<{ go: [step: string] }>()
</script>

<template>
  <section class="mb-3" aria-label="Why it is late">
    <h3 class="text-14 mb-1">Why it is late</h3>
    <ul>
      <li v-for="w in why" :key="w.id" class="flex items-center gap-3 border-t border-faint py-1.5">
        <p class="flex-1">
          <strong class="font-semibold">{{ w.name }}</strong> <Flag :size="9" /><span class="late"
            >late {{ w.late }} d</span
          >, was due {{ sayDay(w.due) }}: {{ w.held }}
        </p>
        <button class="btn btn-small" @click="emit('go', w.id)">Go to it</button>
      </li>
    </ul>
  </section>
</template>
