<script setup lang="ts">
import { sayAway } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import Sheet from '@app/ui/Sheet.vue'
import type { Finishing } from '../useCountdownMoves'

/** Before stages are finished at once: what is open in them. */
const { asking } = defineProps<{ asking: Finishing }>()
const emit = defineEmits<{ finish: []; close: [] }>()
const moment = useMoment()
</script>

<template>
  <Sheet :open="true" :title="`Finish ${asking.card.number} up to there`" @close="emit('close')">
    <p v-if="asking.steps.length > 0">
      These steps are open in between: <strong>{{ asking.steps.join(', ') }}</strong>.
    </p>
    <p v-if="asking.parts.length > 0" class="mt-2">
      These parts are still missing, and keep its lamp unlit: {{ asking.parts.join(', ') }}.
    </p>
    <p class="sub mt-2">
      {{ sayAway(asking.card.standing.release?.day ?? moment.today, moment.today) }} to its release.
    </p>
    <p class="flex gap-2 mt-4">
      <button v-if="asking.steps.length > 0" class="btn btn-main" @click="emit('finish')">
        Tick {{ asking.steps.length === 1 ? 'it' : 'them' }} done</button
      ><button class="btn" @click="emit('close')">Leave it</button>
    </p>
  </Sheet>
</template>
