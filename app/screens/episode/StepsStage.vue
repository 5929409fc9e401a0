<script setup lang="ts">
import type { StageState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import SpinOffs from './spin/SpinOffs.vue'
import KeptSafe from './parts/KeptSafe.vue'
import StepList from './StepList.vue'

/** A stage that has steps alone. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
</script>

<template>
  <div class="mx-auto max-w-[760px] p-5 grid gap-6">
    <StepList :card="card" :here="here" />
    <SpinOffs v-if="here.stage.kind === 'after'" :card="card" />
    <KeptSafe v-if="here.stage.kind === 'after' && card.episode.phase.kind === 'released'" :card="card" />
  </div>
</template>
