<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { promiseTimeout } from '@vueuse/core'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import NextVacant from './parts/NextVacant.vue'
import NothingYet from './parts/NothingYet.vue'
import TodayFrame from './parts/TodayFrame.vue'

/** Today before the first idea: what to do first, and which slot it is for. */
const emit = defineEmits<{ rested: [] }>()
const moment = useMoment()
const schedule = useSchedule()
const vacant = computed(() => schedule.rows.find((r) => r.slot && !r.slot.skipped))
onMounted(async () => {
  await promiseTimeout(400)
  emit('rested')
})
</script>

<template>
  <TodayFrame :day="moment.today">
    <NothingYet />
    <template v-if="vacant" #aside><NextVacant :row="vacant" /></template>
  </TodayFrame>
</template>
