<script setup lang="ts">
import { computed } from 'vue'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { usePlan } from '@app/stores/plan'
import KeySign from '@app/ui/KeySign.vue'
import { weekKeys } from '../keymap'
import type { Planning } from '../usePlanning'
import type { WeekSeen } from '../useWeek'

/** Which week it is, how much is laid in it, and the button that plans it. */
const { week, planning } = defineProps<{ week: WeekSeen; planning: Planning }>()
const plan = usePlan()
const scope = computed({
  get: () => planning.scope.value,
  set: (far) => {
    planning.planFor(far)
  },
})
</script>

<template>
  <header class="flex flex-wrap items-center gap-x-3 gap-y-2 mb-3">
    <h1>Week of {{ sayDay(week.monday.value).replace(/^\w+ /, '') }}</h1>
    <span class="flex"
      ><button class="btn btn-bare btn-small px-1" aria-label="The week before" @click="week.turn(-1)">
        <ChevronLeft :size="17" /></button
      ><button v-if="week.offset.value !== 0" class="btn btn-bare btn-small" @click="week.turn()">
        This week</button
      ><button class="btn btn-bare btn-small px-1" aria-label="The week after" @click="week.turn(1)">
        <ChevronRight :size="17" /></button
    ></span>
    <p class="sub flex-1">
      <strong class="text-ink font-semibold">{{ sayMinutes(week.totals.value.laid) }} laid</strong> of the
      {{ sayMinutes(week.totals.value.room) }} left<template v-if="week.totals.value.would > 0"
        >, {{ sayMinutes(week.totals.value.would) }} more with the plan,
        <span class="border border-dashed border-ring rounded-[4px] px-1">dashed</span></template
      >
    </p>
    <template v-if="!plan.proposal"
      ><select v-model="scope" class="field w-auto" aria-label="How far to plan">
        <option value="all">all that is due</option>
        <option value="week">this week</option></select
      ><button class="btn btn-main" @click="planning.propose()">
        Plan it for me <KeySign :line="weekKeys.lines.pin" /></button
    ></template>
  </header>
</template>
