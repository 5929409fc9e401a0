<script setup lang="ts">
import { computed } from 'vue'
import type { AskedRead } from '@core/records'
import { ReadPlace } from '@core/records'
import { readAsked } from '@core/partners/deal-of'
import type { Card } from '@core/views/card'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import { typedIn } from '@app/ui/fields/event'
import { useWriting } from '../writing'

/** What the sponsor asked of its read: how long, where, in which words; the script takes it from there. */
const { card } = defineProps<{ card: Card }>()
const write = useWriting(() => card)
const asked = computed(() => readAsked(card.episode, card.deal))
const places = { opening: 'in the opening', middle: 'in the middle', close: 'in the close' }
function ask(to: Partial<AskedRead>) {
  void write({ read: { words: '', ...card.episode.read, ...to } }, 'what was asked of the read')
}
function place(event: Event) {
  const read = ReadPlace.safeParse(typedIn(event))
  ask({ place: read.success ? read.data : undefined })
}
</script>

<template>
  <div class="grid grid-cols-[72px_minmax(0,1fr)] gap-2">
    <OptionalNumberField
      :model-value="asked?.seconds"
      label="Seconds"
      :min="1"
      :max="3600"
      placeholder="any"
      @update:model-value="ask({ seconds: $event })"
    />
    <label
      ><span class="label">Where it is said</span
      ><select class="field" :value="asked?.place ?? ''" @change="place">
        <option value="">anywhere</option>
        <option v-for="p in ReadPlace.options" :key="p" :value="p">{{ places[p] }}</option>
      </select></label
    >
    <TextField
      :model-value="asked?.words ?? ''"
      lazy
      :rows="4"
      class="col-span-2"
      label="Words to say"
      placeholder="as it was asked, or none"
      @update:model-value="ask({ words: $event })"
    />
  </div>
</template>
