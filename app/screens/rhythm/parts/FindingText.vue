<script setup lang="ts">
import type { Finding, RhythmDeed } from '@core/views/rhythm-findings'

/** What the figures hold, and the one thing to do about it. */
const { finding, main = false } = defineProps<{ finding: Finding; main?: boolean }>()
const emit = defineEmits<{ act: [RhythmDeed] }>()
</script>

<template>
  <div class="grid gap-1 content-start">
    <h2>{{ finding.says }}</h2>
    <p v-if="finding.more" class="text-12 text-ink-2">{{ finding.more }}</p>
    <button
      v-if="finding.deed"
      class="btn btn-small justify-self-start mt-1"
      :class="main ? 'btn-main' : ''"
      @click="emit('act', finding.deed.does)"
    >
      {{ finding.deed.label }}
    </button>
  </div>
</template>
