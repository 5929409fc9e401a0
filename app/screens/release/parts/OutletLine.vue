<script setup lang="ts">
import { computed, watch } from 'vue'
import { Send } from '@lucide/vue'
import type { Going } from '@core/release/moves'
import { sayDay } from '@core/rhythm/days'
import { localAt } from '@core/rhythm/zone'
import { useLibrary } from '@app/stores/library'
import { useLines } from '@app/stores/lines'
import { useMoment } from '@app/stores/moment'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import { releaseKeys } from '../keymap'

/** An outlet that the program speaks to itself: handing over, what it refuses by part, and what it says since. */
const { thing } = defineProps<{ thing: Going }>()
const emit = defineEmits<{ hand: [] }>()
const lines = useLines()
const moment = useMoment()
const library = useLibrary()
const answer = computed(() => lines.answerOf(thing))
const standing = computed(() => lines.standingOf(thing))
const taken = computed(() => thing.handed.taken)
/** It was moved since: the outlet still has the old moment. */
const isStale = computed(() => taken.value !== undefined && Date.parse(taken.value.going) !== thing.at)
const when = (iso: string) => {
  const { day, time } = localAt(Date.parse(iso), moment.zone)
  return `${sayDay(day, moment.today)} ${time}`
}
// Asked when it is looked at, and each minute while it is.
watch(
  [() => thing.key, () => thing.card.episode.id, () => moment.minute],
  () => {
    if (thing.outlet.line && taken.value) void lines.ask(thing)
  },
  { immediate: true },
)
</script>

<template>
  <div v-if="!thing.outlet.line" class="sub mb-3">
    <button class="underline underline-offset-2" @click="lines.join(thing.outlet.id)">
      Try handing over with the stand-in
    </button>
    that ships with the program: it takes what is handed over as an outlet would.
  </div>
  <section v-else class="panel p-3 mb-3 grid gap-2 text-12" aria-label="Handing over">
    <p class="flex flex-wrap items-center gap-2">
      <a
        href="/stand-in"
        target="_blank"
        rel="noopener"
        class="border border-dashed border-ring rounded-control px-2 py-0.5 no-underline"
        >stand-in</a
      ><span class="flex-1 min-w-[160px]">
        <template v-if="isStale && taken"
          ><Flag /><span class="late">It was moved since.</span> The outlet still has
          {{ when(taken.going) }}.</template
        ><template v-else-if="standing?.state === 'live'"
          >Live, says the outlet, seen {{ standing.views }} times.
          <a :href="standing.address" target="_blank" rel="noopener" class="underline">Look at it</a>, then
          say so above.</template
        ><template v-else-if="taken"
          >Taken {{ when(taken.at) }}; it goes out {{ when(taken.going) }}.</template
        ><template v-else-if="thing.isReady">Everything that it asks for is there.</template
        ><template v-else>It will say what is missing.</template>
      </span>
      <button
        class="btn"
        :class="thing.isReady && (!taken || isStale) ? 'btn-main' : ''"
        :disabled="lines.isDoing(thing)"
        @click="emit('hand')"
      >
        <Send :size="14" aria-hidden="true" />
        {{ lines.isDoing(thing) ? 'Handing it over…' : taken ? 'Hand it over anew' : 'Hand it over' }}
        <KeySign :line="releaseKeys.lines.hand" /></button
      ><button
        class="btn btn-bare btn-small"
        :title="`Speak to ${thing.outlet.name} no more`"
        @click="lines.leave(thing.outlet.id)"
      >
        Leave it
      </button>
    </p>
    <ul v-if="answer?.kind === 'refused'" role="alert" class="grid gap-1">
      <li v-for="p in answer.problems" :key="p.part + p.says">
        <Flag /><span class="late">Refused, {{ p.part }}.</span> {{ p.says }}
      </li>
    </ul>
    <p v-else-if="answer?.kind === 'lost'" role="alert">
      <Flag /><span class="late">Not sure.</span> {{ answer.says }}
    </p>
    <p v-if="library.world === 'demo' && !taken" class="sub">
      On the stand-in’s own page it can be made to fail: down, slow, refusing a tag, losing its answer.
    </p>
  </section>
</template>
