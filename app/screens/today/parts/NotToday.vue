<script setup lang="ts">
import { computed, ref } from 'vue'
import { sayDay } from '@core/rhythm/days'
import type { NotToday } from '@core/views/not-today'
import { useDialogs } from '@app/stores/dialogs'
import Flag from '@app/ui/Flag.vue'
import { useOpenStep } from '../open-step'

/** Due by today, or before something that is done today, and not on it: each with why. */
const { steps } = defineProps<{ steps: readonly NotToday[] }>()
const dialogs = useDialogs()
const openStep = useOpenStep()
/** How many are seen at first. */
const few = 3
const all = ref(false)
const shown = computed(() => (all.value ? steps : steps.slice(0, few)))
</script>

<template>
  <section aria-labelledby="nottoday">
    <h2 id="nottoday" class="mb-2">Due, but not today</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="s in shown" :key="s.state.step.id" class="flex items-center gap-4 px-4 py-2">
        <button class="flex-1 min-w-0 text-left" @click="openStep(s)">
          <span class="block truncate"
            ><strong class="font-semibold">{{ s.state.step.name }}</strong
            ><span class="sub">, {{ s.why }}</span></span
          >
          <span class="sub block truncate"
            ><span class="num">{{ s.card.number }}</span> {{ s.card.title }}</span
          >
        </button>
        <p class="sub shrink-0">
          <template v-if="s.state.late"
            ><Flag /><span class="late">late {{ s.state.late }} d</span></template
          ><template v-else-if="s.state.due">due {{ sayDay(s.state.due) }}</template>
        </p>
        <button
          class="btn btn-small max-sm:hidden"
          @click="dialogs.show({ kind: 'forecast', episode: s.card.episode.id })"
        >
          What would help
        </button>
      </li>
    </ul>
    <button v-if="steps.length > few && !all" class="btn btn-small mt-2" @click="all = true">
      Show {{ steps.length - few }} more
    </button>
  </section>
</template>
