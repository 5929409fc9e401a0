<script setup lang="ts">
import { moveLeftoversToToday } from '@core/commands/week'
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'

/** What was laid on days that have passed and is not done. */
const library = useLibrary()
const workload = useWorkload()
</script>

<template>
  <section class="panel px-4 py-3 flex flex-wrap items-center gap-3" aria-label="Left over">
    <p class="flex-1">
      <strong>Left over:</strong>
      {{ workload.leftOver.map((l) => `${l.state.step.name} of ${l.card.number}`).join(', ') }}
    </p>
    <button
      class="btn btn-small"
      @click="library.perform(moveLeftoversToToday, { steps: workload.leftOver.map((l) => l.state.step.id) })"
    >
      Put on today
    </button>
  </section>
</template>
