<script setup lang="ts">
import type { StageState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import StepList from './StepList.vue'

/** A stage that has steps alone. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
</script>

<template>
  <div class="mx-auto max-w-[640px] p-5"><StepList :card="card" :here="here" /></div>
</template>
