<script setup lang="ts">
import { computed } from 'vue'
import { scheduleRelease } from '@core/commands/release'
import type { Id } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import Sheet from '@app/ui/Sheet.vue'

/** An episode is said to be scheduled though things are missing: which, and whether all the same. */
const { id } = defineProps<{ id: Id }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const { close } = useDialogs()
const card = computed(() => cards.card(id))
const missing = computed(() => card.value?.standing.missing ?? [])
/** How many are named. */
const most = 8
async function schedule() {
  if ((await library.perform(scheduleRelease, { episode: id, scheduled: true })).ok) close()
}
</script>

<template>
  <Sheet :open="true" title="Some things are still missing" @close="close">
    <form v-if="card" class="grid gap-4" @submit.prevent="schedule">
      <p>
        <span class="num">{{ card.number }}</span> {{ card.title
        }}<template v-if="card.standing.release"
          >, out {{ sayDay(card.standing.release.day, moment.today) }}
          {{ card.standing.release.time }}</template
        >
      </p>
      <ul class="grid gap-1 list-disc pl-5" aria-label="Still missing">
        <li v-for="(m, i) in missing.slice(0, most)" :key="i">
          {{ m.name }}<span class="sub">, {{ m.sentence }}</span>
        </li>
        <li v-if="missing.length > most" class="sub">and {{ missing.length - most }} more</li>
      </ul>
      <p class="sub">They stay on your list after it is scheduled.</p>
      <p class="flex justify-end gap-2">
        <button type="button" class="btn" @click="close">Not yet</button
        ><button class="btn btn-main">Schedule it anyway</button>
      </p>
    </form>
  </Sheet>
</template>
