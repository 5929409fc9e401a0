<script setup lang="ts">
import type { StepState } from '@core/recipe/progress'
import { sayAgreed } from '@core/views/state-words'
import { sayAway, sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import Flag from '@app/ui/Flag.vue'

/** The step that is next, the same as on every screen, and when it is due. */
const { step } = defineProps<{ step: StepState }>()
const moment = useMoment()
</script>

<template>
  {{ ` · next: ${step.step.name}` }}<template v-if="step.agreed">{{ ` ${sayAgreed(step.agreed)}` }}</template
  ><template v-else-if="step.due"
    >,
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
