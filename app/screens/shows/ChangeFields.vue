<script setup lang="ts">
import { changeCosts, changeNames, changeParts, usualCosts, type ChangePart } from '@core/plan/shots'
import type { ChangeMinutes, Show } from '@core/records'
import NumberField from '@app/ui/fields/NumberField.vue'

/** What changing between two shots takes, by which their order is sought. */
const { show } = defineProps<{ show: Show }>()
const emit = defineEmits<{ write: [minutes: ChangeMinutes | undefined] }>()
function write(which: ChangePart, minutes: number) {
  const next = { ...changeCosts([show]), [which]: minutes }
  const isUsual = changeParts.every((name) => next[name] === usualCosts[name])
  emit('write', isUsual ? undefined : next)
}
</script>

<template>
  <details>
    <summary class="cursor-pointer sub">What a change between shots takes, minutes</summary>
    <div class="grid gap-3 mt-3 grid-cols-2 sm:grid-cols-4 items-end">
      <NumberField
        v-for="name in changeParts"
        :key="name"
        :model-value="changeCosts([show])[name]"
        :label="changeNames[name]"
        :min="0"
        :max="240"
        @update:model-value="write(name, $event)"
      />
    </div>
    <p class="sub mt-2">
      Shots are ordered so that least of this is lost. A session that is struck brings it nearer to what it
      took.
    </p>
  </details>
</template>
