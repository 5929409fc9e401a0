<script setup lang="ts">
import { sayDay } from '@core/rhythm/days'
import { sayUntil } from '@core/rhythm/zone'
import type { SlotRow } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'

/** The next slot, with nothing on it yet. */
const { row } = defineProps<{ row: SlotRow }>()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
</script>

<template>
  <aside class="panel p-4 self-start" aria-labelledby="vacant">
    <div class="flex justify-between mb-2">
      <h2 id="vacant" class="font-sans font-normal text-14 text-ink-2">Next out</h2>
      <p class="text-lamp-text font-semibold">
        {{ sayDay(row.day) }} {{ row.time }}, {{ sayUntil(moment.now, row.at, row.show.zone) }}
      </p>
    </div>
    <p class="mb-3">
      Nothing is on it yet.
      {{ cards.ideas.length === 0 ? 'The first line you jot can be.' : 'Any idea can take it.' }}
    </p>
    <button class="btn" @click="row.slot && dialogs.show({ kind: 'fill', slot: row.slot })">
      Choose an idea
    </button>
  </aside>
</template>
