<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Day, Id, Session } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { episodesIn, itemsIn, sessionMinutes, stepsIn } from '@core/session/items'
import { sessionKinds } from '@core/session/kinds'
import type { Candidate } from '@core/session/together'
import type { StepIn } from '@core/views/card'
import { useMoment } from '@app/stores/moment'
import DateField from '@app/ui/fields/DateField.vue'
import Flag from '@app/ui/Flag.vue'

/** A session that is laid, or on its way. */
const { session, stepIn, setup, candidates } = defineProps<{
  session: Session
  stepIn: ReadonlyMap<Id, StepIn>
  /** Minutes of setting up. */
  setup: number
  /** What else could be done in it. */
  candidates: readonly Candidate[]
}>()
const emit = defineEmits<{ move: [day: Day]; steps: [steps: Id[]]; remove: [] }>()
const Drop = defineAsyncComponent(() => import('@app/ui/Drop.vue'))
const moment = useMoment()
const cards = computed(() => episodesIn(session, stepIn))
const items = computed(() => itemsIn(session, stepIn))
const minutes = computed(() => sessionMinutes(session, stepIn, setup))
const what = computed(() => {
  const word = sessionKinds[session.kind].items
  const n = items.value.length
  return word === 'steps' ? '' : `${n} ${n === 1 ? word.slice(0, -1) : word}`
})
/** What is in it, and what could be. */
const choices = computed(() => [
  ...cards.value.map((card) => ({
    card,
    on: true,
    steps: stepsIn(session, stepIn).flatMap((s) => (s.card === card ? [s.state.step.id] : [])),
  })),
  ...candidates.map(({ card, steps }) => ({ card, on: false, steps: steps.map((s) => s.state.step.id) })),
])
function toggle({ on, steps }: (typeof choices.value)[number]) {
  const mine = stepsIn(session, stepIn).map((s) => s.state.step.id)
  emit('steps', on ? mine.filter((s) => !steps.includes(s)) : [...mine, ...steps])
}
const isPast = computed(() => session.day < moment.today && session.run.kind === 'planned')
const to = ref(session.day < moment.today ? moment.today : session.day)
</script>

<template>
  <li class="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2.5">
    <RouterLink
      :to="{ name: 'session', params: { session: session.id } }"
      class="flex-1 min-w-[260px] no-underline hover:underline"
      ><span class="font-semibold">{{ sessionKinds[session.kind].name }}</span
      >, {{ sayDay(session.day)
      }}<span class="sub">, {{ session.at ?? sayAway(session.day, moment.today) }}</span
      ><span class="block sub truncate">{{
        cards.length > 0 ? cards.map((c) => `${c.number} ${c.title}`).join(', ') : 'for no episode yet'
      }}</span></RouterLink
    >
    <p v-if="isPast" class="sub"><Flag /><span class="late">its day has passed</span></p>
    <p v-else-if="session.run.kind !== 'planned'" class="text-lamp-text text-12 font-medium">
      {{ session.run.kind === 'running' ? 'on its way' : 'setting up' }}
    </p>
    <p class="num">{{ what }}</p>
    <p class="num w-[70px] text-right">{{ sayMinutes(minutes) }}</p>
    <RouterLink
      :to="{ name: 'session', params: { session: session.id } }"
      class="btn btn-small"
      :aria-label="`Open ${sessionKinds[session.kind].name} on ${sayDay(session.day)}`"
      >Open</RouterLink
    ><Drop v-if="session.run.kind === 'planned'" label="Change" right small
      ><template #default="{ close }"
        ><div class="grid grid-cols-1 gap-2">
          <label
            v-for="c in choices"
            :key="c.card.episode.id"
            class="flex items-center gap-2 text-12 cursor-pointer"
            ><input
              type="checkbox"
              class="tick"
              :checked="c.on"
              :disabled="c.on && cards.length === 1"
              @change="toggle(c)"
            /><span class="num">{{ c.card.number }}</span
            ><span class="truncate">{{ c.card.title }}</span></label
          ><DateField v-model="to" label="Another day" required :min="moment.today" /><button
            class="btn btn-small"
            @click="(emit('move', to), close())"
          >
            Move it to {{ sayDay(to) }}</button
          ><button class="btn btn-small" @click="(emit('remove'), close())">Take it off the week</button>
        </div></template
      ></Drop
    >
  </li>
</template>
