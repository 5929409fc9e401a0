<script setup lang="ts">
import type { StepState } from '@core/recipe/progress'
import { sayAway, sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import Flag from '@app/ui/Flag.vue'

/** What is due next in the stage that is open, and when. */
const { step } = defineProps<{ step: StepState }>()
const moment = useMoment()
</script>

<template>
  <template v-if="step.due">
    {{ ` · ${step.step.name.toLowerCase()} ` }}
    <template v-if="step.late"
      ><Flag /><span class="late">late {{ step.late }} d</span></template
    ><template v-else
      >due
      {{
        ['today', 'tomorrow'].includes(sayAway(step.due, moment.today))
          ? sayAway(step.due, moment.today)
          : `${sayDay(step.due)}, ${sayAway(step.due, moment.today)}`
      }}</template
    ></template
  >
</template>
