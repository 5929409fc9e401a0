<script setup lang="ts">
import { tickStep } from '@core/commands/work'
import { sayAway, sayDay } from '@core/rhythm/days'
import type { StepIn } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import Flag from '@app/ui/Flag.vue'
import { useOpenStep } from '../open-step'

/** Out, with something left to do: letters, promotion, footage to keep. */
const { steps } = defineProps<{ steps: readonly StepIn[] }>()
const library = useLibrary()
const moment = useMoment()
const openStep = useOpenStep()
</script>

<template>
  <section aria-labelledby="after-release">
    <h2 id="after-release" class="mb-2">After the release</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="s in steps" :key="s.state.step.id" class="flex items-center gap-3 px-4 py-2">
        <input
          type="checkbox"
          class="tick"
          :aria-label="`${s.state.step.name} of ${s.card.number} is done`"
          @change="library.perform(tickStep, { step: s.state.step.id, done: true })"
        />
        <button class="flex-1 min-w-0 text-left" @click="openStep(s)">
          <span class="block font-semibold truncate">{{ s.state.step.name }}</span><span
            class="sub block truncate"
            ><span class="num">{{ s.card.number }}</span> {{ s.card.title }},
            <template v-if="s.state.late"
              ><Flag /><span class="late">late {{ s.state.late }} d</span></template
            ><template v-else-if="s.state.due"
              >due {{ sayDay(s.state.due) }}, {{ sayAway(s.state.due, moment.today) }}</template
            ></span
          >
        </button>
      </li>
    </ul>
  </section>
</template>
