<script setup lang="ts">
import { computed } from 'vue'
import { markStanding } from '@core/commands/standing'
import { occurrencesOf } from '@core/plan/standing'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'

/** Standing work of the day that is still to do. */
const library = useLibrary()
const moment = useMoment()
const standing = computed(() =>
  occurrencesOf(library.tables.standing.values(), moment.today, moment.today).filter(
    (o) => o.state === 'to do',
  ),
)
</script>

<template>
  <section v-if="standing.length > 0" aria-labelledby="besides">
    <h2 id="besides" class="mb-2">Besides</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="o in standing" :key="o.work.id" class="flex items-center gap-4 px-4 py-2">
        <p class="flex-1 font-medium">
          {{ o.work.name }}<span v-if="o.work.at" class="num ml-2">{{ o.work.at }}</span>
        </p>
        <p class="num">{{ sayMinutes(o.work.minutes) }}</p>
        <button
          class="btn btn-small btn-bare"
          :aria-label="`Skip ${o.work.name} this once`"
          @click="library.perform(markStanding, { standing: o.work.id, day: o.day, as: 'skipped' })"
        >
          Skip</button
        ><button
          class="btn btn-small"
          :aria-label="`${o.work.name} is done`"
          @click="library.perform(markStanding, { standing: o.work.id, day: o.day, as: 'done' })"
        >
          Done
        </button>
      </li>
    </ul>
  </section>
</template>
