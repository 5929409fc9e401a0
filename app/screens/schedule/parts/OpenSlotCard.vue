<script setup lang="ts">
import { computed } from 'vue'
import { daysBetween, sayDay } from '@core/rhythm/days'
import type { SlotRow } from '@core/views/card'
import { lampKinds } from '@core/views/slots'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import { useDialogs } from '@app/stores/dialogs'
import { vTakes } from '@app/ui/drag/carry'
import { rowHeight, type CountdownSeen } from '../useCountdown'
import type { useCountdownMoves } from '../useCountdownMoves'

/** An open slot below the stages of the Countdown. */
const { row, seen, moves } = defineProps<{
  row: SlotRow
  seen: CountdownSeen
  moves: ReturnType<typeof useCountdownMoves>
}>()
const moment = useMoment()
const promises = usePromises()
const dialogs = useDialogs()
const kept = computed(() => promises.keptFor(row.show.id, row.slot?.original))
</script>

<template>
  <button
    v-takes="moves.target(row)"
    class="cd vacant"
    :class="row.show.kind"
    :style="{
      left: `${seen.x.value(daysBetween(moment.today, row.day)) - Math.min(seen.cardWidth.value, 92)}px`,
      width: `${Math.min(seen.cardWidth.value, 92)}px`,
      top: `${lampKinds.length * rowHeight + 6}px`,
      height: '34px',
    }"
    :aria-label="`${row.show.prefix}${row.number} open, ${sayDay(row.day)}${kept ? `, kept for ${kept?.reservation.name}` : ''}. Choose an idea`"
    :title="kept?.reservation.name"
    @click="row.slot && dialogs.show({ kind: 'fill', slot: row.slot })"
  >
    <span class="num text-11 block leading-[13px]">{{ row.show.prefix }}{{ row.number }}</span
    ><span v-if="kept" class="text-11 block truncate leading-[13px]">{{ kept?.reservation.name }}</span>
  </button>
</template>
