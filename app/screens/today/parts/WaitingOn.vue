<script setup lang="ts">
import { sayAway, sayDay, sayDayLong } from '@core/rhythm/days'
import { nudgeDue, type Today } from '@core/views/today'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import { useOpenStep } from '../open-step'

/** What others have: since when, and a friendly line to copy where it has been long. */
const { waiting } = defineProps<{ waiting: Today['waiting'] }>()
const library = useLibrary()
const moment = useMoment()
const openStep = useOpenStep()
async function nudge(w: Today['waiting'][number]) {
  const { who, what } = w.waiting
  const { release } = w.card.standing
  const asked = what || w.state.step.name.toLowerCase()
  const when = release ? `, which goes out on ${sayDayLong(release.day)}` : ''
  await navigator.clipboard.writeText(
    `Hello ${who}, may I ask how ${asked} is coming on? It is for “${w.card.title}”${when}. Thank you.`,
  )
  library.say('A friendly line is copied; paste it where you write to them.')
}
</script>

<template>
  <section aria-labelledby="waits">
    <h2 id="waits" class="mb-2">Waiting on others</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="w in waiting" :key="w.state.step.id" class="flex items-center gap-3 px-4 py-2">
        <button class="flex-1 min-w-0 text-left" @click="openStep(w)">
          <span class="block font-semibold truncate">{{ w.waiting.who }}</span><span
            class="sub block truncate"
            >{{ w.waiting.what || w.state.step.name }}, <span class="num">{{ w.card.number }}</span></span
          >
        </button>
        <p class="text-right text-12">
          <span class="text-sea font-medium"
            >waits {{ sayAway(w.waiting.since, moment.today).replace(' ago', '') }}</span
          ><br /><span class="text-ink-2">since {{ sayDay(w.waiting.since) }}</span>
        </p>
        <button
          v-if="nudgeDue(w.waiting, moment.today, moment.settings.nudgeAfter)"
          class="btn btn-small"
          :aria-label="`Nudge ${w.waiting.who}`"
          title="Copies a friendly line"
          @click="nudge(w)"
        >
          Nudge
        </button>
      </li>
    </ul>
  </section>
</template>
