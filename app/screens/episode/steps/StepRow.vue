<script setup lang="ts">
import { computed } from 'vue'
import { Hourglass, UserRound, X } from '@lucide/vue'
import { backdateStep, correctLog, estimateStep, removeStep, tickStep, waitStep } from '@core/commands/work'
import type { StepState } from '@core/recipe/progress'
import { partState } from '@core/release/parts'
import { addDays, sayAway, sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'
import { completedBy, ticked } from '../steps'
import NumberField from '@app/ui/fields/NumberField.vue'
import { tickedIn } from '@app/ui/fields/event'

/** One step: ticked, timed, given to somebody, waiting on somebody. */
const { card, of } = defineProps<{ card: Card; of: StepState }>()
const emit = defineEmits<{ hand: []; ask: [] }>()
const library = useLibrary()
const moment = useMoment()
const line = computed(() => card.recipe.lines.find((l) => l.id === of.step.line))
async function tick(event: Event) {
  const isOn = tickedIn(event)
  const done = await library.perform(tickStep, { step: of.step.id, done: isOn }, 'quietly')
  const { part } = of.step
  if (!done.ok || !isOn || part === undefined) return
  const state = partState(part, card)
  if (state.state !== 'there') library.say(ticked(state, card), 'done', [done.value.line ?? 0])
}
function ask() {
  if (of.step.waiting) void library.perform(waitStep, { step: of.step.id, waiting: undefined })
  else emit('ask')
}
const today = computed(() => of.step.doneAt !== undefined && moment.dayOn(of.step.doneAt) === moment.today)
function took(minutes: number) {
  void library.perform(correctLog, { step: of.step.id, minutes })
}
function minutes(estimate: number) {
  void library.perform(estimateStep, { step: of.step.id, minutes: estimate }, 'quietly')
}
</script>

<template>
  <li class="py-2.5 border-t border-faint">
    <div class="flex items-start gap-2.5">
      <input
        type="checkbox"
        class="tick mt-px"
        :checked="of.done"
        :disabled="of.done && of.step.doneAt === undefined"
        :aria-label="`${of.step.name} is done`"
        @change="tick($event)"
      />
      <div class="flex-1 min-w-0">
        <p class="font-medium" :class="of.done ? 'text-ink-2' : ''">{{ of.step.name }}</p>
        <p class="sub">
          <template v-if="of.late"
            ><Flag /><span class="late">late {{ of.late }} d</span>, was due
            {{ sayDay(of.due ?? '') }}</template
          >
          <template v-else-if="of.due && !of.done"
            >due {{ sayDay(of.due) }}, {{ sayAway(of.due, moment.today) }}</template
          >
          <template v-else-if="!of.done">no date yet</template>
          <template v-if="!of.done && completedBy(of.step)"
            >{{ of.due || of.late ? '; ' : ', ' }}{{ completedBy(of.step) }}</template
          >
          <label v-if="!of.done" class="inline-flex items-center gap-1 ml-1"
            >·
            <NumberField
              :model-value="of.step.minutes"
              field="minutes"
              :label="`Minutes of ${of.step.name}`"
              hidden
              :min="0"
              @update:model-value="minutes($event)"
            />
            min</label
          >
          <label v-if="of.done" class="inline-flex items-center gap-1"
            >took
            <NumberField
              :model-value="of.step.logged"
              field="minutes"
              :label="`Minutes that ${of.step.name} took`"
              hidden
              :min="0"
              :max="6000"
              @update:model-value="took($event)"
            />
            min</label
          >
          <button
            v-if="today"
            class="underline underline-offset-2 ml-1"
            @click="library.perform(backdateStep, { step: of.step.id, day: addDays(moment.today, -1) })"
          >
            it was yesterday
          </button>
        </p>
        <p v-if="of.step.owner !== 'me' && !of.done" class="text-12 font-medium">
          {{ of.step.owner }} does it
        </p>
        <p v-if="!of.done && line?.guidance" class="text-12 text-ink-2 whitespace-pre-line">
          {{ line?.guidance }}
        </p>
        <p v-if="!of.done && (line?.references ?? []).length > 0" class="text-12 flex flex-wrap gap-x-3">
          <a v-for="r in line?.references ?? []" :key="r.url" :href="r.url" target="_blank" rel="noopener">{{
            r.label || r.url.replace(/^https?:\/\//, '').slice(0, 40)
          }}</a>
        </p>
        <p v-if="of.step.waiting && !of.done" class="text-12 text-sea font-medium">
          waits on {{ of.step.waiting.who }}{{ of.step.waiting.what ? ` for ${of.step.waiting.what}` : '' }},
          since {{ sayDay(of.step.waiting.since) }}
        </p>
      </div>
      <button
        v-if="of.step.line === undefined && !of.done"
        class="btn btn-bare btn-small px-1"
        :aria-label="`Remove the step ${of.step.name}`"
        @click="library.perform(removeStep, { step: of.step.id })"
      >
        <X :size="14" />
      </button>
      <button
        v-if="!of.done"
        class="btn btn-bare btn-small px-1"
        :aria-label="`Who does ${of.step.name}, and when`"
        title="Who does it, and when"
        @click="emit('hand')"
      >
        <UserRound :size="15" :class="of.step.owner === 'me' ? 'text-ink-2' : 'text-ink'" />
      </button>
      <button
        v-if="!of.done"
        class="btn btn-bare btn-small px-1"
        :aria-label="of.step.waiting ? `${of.step.name} waits no longer` : `${of.step.name} waits on someone`"
        :title="of.step.waiting ? 'It waits no longer' : 'It waits on someone'"
        @click="ask"
      >
        <Hourglass :size="15" :class="of.step.waiting ? 'text-sea' : 'text-ink-2'" />
      </button>
    </div>
  </li>
</template>

<style scoped>
:deep(.minutes) {
  width: 5ch;
  padding: 0 2px;
  border: 1px solid transparent;
  border-bottom-color: var(--ring);
  text-align: right;
  font: 400 12.5px var(--font-mono);
  color: var(--ink);
  background: transparent;
  appearance: textfield;
}
:deep(.minutes)::-webkit-inner-spin-button {
  display: none;
}
</style>
