<script setup lang="ts">
import type { Show } from '@core/records'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useSchedule } from '@app/stores/schedule'
import DockEntry from './DockEntry.vue'

/** What has no date yet, and ready episodes kept for a bad week, to be carried onto an open slot. */
const { show } = defineProps<{ show: Show | undefined }>()
const cards = useCards()
const schedule = useSchedule()
const stageOf = (c: Card) => c.standing.where?.stage.name ?? 'ready'
const wayOf = (c: Card) => (c.standing.ready ? 'ready' : 'on its way')
</script>

<template>
  <aside class="panel p-3 grid gap-3" aria-label="Without a date, and spares">
    <template v-if="cards.unplaced.length > 0">
      <h2>
        Without a date <span class="num font-normal">{{ cards.unplaced.length }}</span>
      </h2>
      <ul class="grid gap-2 border-b border-faint pb-3">
        <li v-for="c in cards.unplaced" :key="c.episode.id">
          <DockEntry :card="c" :says="stageOf(c)" :label="`no date, at ${stageOf(c)}`" />
        </li>
      </ul>
    </template>
    <h2>
      Spares <span class="num font-normal">{{ cards.spares.length }}</span>
    </h2>
    <ul class="grid gap-2">
      <li v-for="c in cards.spares" :key="c.episode.id">
        <DockEntry :card="c" :says="wayOf(c)" :label="`spare, ${wayOf(c)}`" />
      </li>
    </ul>
    <p v-if="cards.spares.length === 0" class="sub">
      A ready, evergreen episode kept off the schedule for a bad week stands here.
    </p>
    <p v-if="show" class="sub border-t border-faint pt-2">
      <strong class="text-ink">{{ schedule.readyRun(show).run }}</strong> of {{ show.readyAhead }} ready ahead
    </p>
  </aside>
</template>
