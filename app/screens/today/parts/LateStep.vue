<script setup lang="ts">
import { computed } from 'vue'
import { sayAway, sayDay } from '@core/rhythm/days'
import type { StepIn } from '@core/views/card'
import { useMoment } from '@app/stores/moment'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'
import { useOpenStep } from '../open-step'

/** A step that is late, with what mends it. */
const { step } = defineProps<{ step: StepIn }>()
const moment = useMoment()
const desk = useDesk()
const dialogs = useDialogs()
const openStep = useOpenStep()
const outlook = computed(() => desk.outlooks.get(step.card.episode.id))
</script>

<template>
  <section class="panel border-rose px-4 py-3 flex items-center gap-4" aria-label="Late">
    <LampMark :lamp="{ state: 'open', share: 0, late: step.state.late }" :size="26" hidden />
    <div class="flex-1 min-w-0">
      <p>
        <strong class="font-semibold">{{ step.state.step.name }}</strong> <Flag /><span class="late"
          >late {{ step.state.late }} d</span
        ><span class="sub">, was due {{ step.state.due ? sayDay(step.state.due) : '' }}</span>
      </p>
      <p class="sub truncate">
        <span class="num">{{ step.card.number }}</span> {{ step.card.title }}, out
        {{
          step.card.standing.release
            ? `${sayDay(step.card.standing.release.day)}, ${sayAway(step.card.standing.release.day, moment.today)}`
            : ''
        }}<template v-if="outlook">: still {{ outlook.is }}</template>
      </p>
    </div>
    <button class="btn" @click="dialogs.show({ kind: 'forecast', episode: step.card.episode.id })">
      What mends it
    </button>
    <button class="btn" @click="openStep(step)">Go to it</button>
  </section>
</template>
