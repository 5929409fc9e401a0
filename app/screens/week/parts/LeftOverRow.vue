<script setup lang="ts">
import { moveLeftoversToToday } from '@core/commands/week'
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'

/** What was laid on days that have passed, as a row above them. */
const library = useLibrary()
const workload = useWorkload()
</script>

<template>
  <li class="day-row" aria-label="Left over">
    <div>
      <strong>Left over</strong
      ><span class="sub block"
        >{{ workload.leftOver.length }} {{ workload.leftOver.length === 1 ? 'step' : 'steps' }}</span
      >
    </div>
    <div class="flex flex-wrap gap-2 items-center">
      <span
        v-for="l in workload.leftOver"
        :key="l.state.step.id"
        class="border border-line rounded-control px-2 py-1 text-12"
        >{{ l.state.step.name }} <span class="num">{{ l.card.number }}</span></span
      ><button
        class="btn btn-small"
        @click="
          library.perform(moveLeftoversToToday, { steps: workload.leftOver.map((l) => l.state.step.id) })
        "
      >
        Put on today
      </button>
    </div>
  </li>
</template>
