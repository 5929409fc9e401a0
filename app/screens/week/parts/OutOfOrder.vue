<script setup lang="ts">
import { computed } from 'vue'
import { takeOffDay } from '@core/commands/week'
import { sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'

/** Blocks that lie before what they need: their work is planned after it. */
const library = useLibrary()
const cards = useCards()
const workload = useWorkload()
const broken = computed(() =>
  workload.load.broken.flatMap((b) => {
    const found = cards.stepIn.get(b.id)
    return found ? [{ ...b, ...found }] : []
  }),
)
</script>

<template>
  <li v-for="b in broken" :key="`${b.id} ${b.day}`" class="day-row" aria-label="Out of order">
    <div>
      <strong>{{ sayDay(b.day).replace(/ \w+$/, '') }}</strong><span class="sub block">out of order</span>
    </div>
    <div class="flex flex-wrap gap-2 items-center">
      <p class="flex-1">
        <Flag />{{ b.state.step.name }} of <span class="num">{{ b.card.number }}</span> lies before what it
        needs; it is planned after it.
      </p>
      <button class="btn btn-small" @click="library.perform(takeOffDay, { step: b.id, day: b.day })">
        Take it off the day
      </button>
    </div>
  </li>
</template>
