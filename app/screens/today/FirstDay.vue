<script setup lang="ts">
import { computed } from 'vue'
import { useTimeout } from '@vueuse/core'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { prefetchDay } from './fetched'
import NextVacant from './parts/NextVacant.vue'
import NothingYet from './parts/NothingYet.vue'
import TodayFrame from './parts/TodayFrame.vue'

/** Today before the first idea: what to do first, and which slot it is for. */
const moment = useMoment()
const schedule = useSchedule()
const vacant = computed(() => schedule.rows.find((r) => r.slot && !r.slot.skipped))
useTimeout(400, { callback: prefetchDay })
</script>

<template>
  <TodayFrame :day="moment.today">
    <NothingYet />
    <template v-if="vacant" #aside><NextVacant :row="vacant" /></template>
  </TodayFrame>
</template>
