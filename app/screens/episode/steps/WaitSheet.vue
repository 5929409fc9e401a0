<script setup lang="ts">
import { ref } from 'vue'
import { waitStep } from '@core/commands/work'
import type { StepState } from '@core/recipe/progress'
import { useMoment } from '@app/stores/moment'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** Who a step waits on, and for what. */
const { card, of } = defineProps<{ card: Card; of: StepState }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
const who = ref(card.episode.guests[0] ?? '')
const what = ref('')
const nudge = ref(moment.settings.nudgeAfter ?? 4)
const fault = ref('')
async function wait() {
  const done = await library.perform(waitStep, {
    step: of.step.id,
    waiting: { who: who.value.trim(), what: what.value.trim(), since: moment.today, nudge: nudge.value },
  })
  fault.value = done.ok ? '' : done.problem.sentence
  if (done.ok) emit('close')
}
</script>

<template>
  <Sheet open title="Who does it wait on?" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="wait">
      <TextField v-model="who" label="Who" /><TextField
        v-model="what"
        label="For what"
        placeholder="a portrait, an answer"
      /><NumberField
        v-model="nudge"
        field="field num w-[96px]"
        label="Nudge after, days"
        :min="1"
        :max="90"
      />
      <p v-if="fault" role="alert" class="late">{{ fault }}</p>
      <button class="btn btn-main justify-self-start">It waits from today</button>
    </form>
  </Sheet>
</template>
