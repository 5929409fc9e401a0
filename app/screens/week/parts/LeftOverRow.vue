<script setup lang="ts">
import { leftToToday } from '@core/commands/week'
import { useBoard } from '@app/stores/board'
import { useLibrary } from '@app/stores/library'

/** What was laid on days that have passed, as a row above them. */
const library = useLibrary()
const board = useBoard()
</script>

<template>
  <li class="day" aria-label="Left over">
    <div>
      <strong>Left over</strong
      ><span class="sub block"
        >{{ board.leftOver.length }} {{ board.leftOver.length === 1 ? 'step' : 'steps' }}</span
      >
    </div>
    <div class="flex flex-wrap gap-2 items-center">
      <span
        v-for="l in board.leftOver"
        :key="l.state.step.id"
        class="border border-line rounded-control px-2 py-1 text-12"
        >{{ l.state.step.name }} <span class="num">{{ l.card.number }}</span></span
      ><button
        class="btn btn-small"
        @click="library.perform(leftToToday, { steps: board.leftOver.map((l) => l.state.step.id) })"
      >
        Put on today
      </button>
    </div>
  </li>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  min-height: 66px;
  padding: 9px 0;
  border-top: 1px solid var(--faint);
}
@media (max-width: 639px) {
  .day {
    grid-template-columns: 1fr;
  }
}
</style>
