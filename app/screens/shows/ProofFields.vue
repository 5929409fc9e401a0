<script setup lang="ts">
import { proofOf, usualProof } from '@core/pictures/proof'
import type { Proof, Show } from '@core/records'
import NumberField from '@app/ui/fields/NumberField.vue'

/** From when on something is pointed out on the show's pictures. */
const { show } = defineProps<{ show: Show }>()
const emit = defineEmits<{ write: [proof: Proof | undefined] }>()
const write = (fields: Partial<Proof>) => {
  const next = { ...proofOf(show), ...fields }
  const isUsual = JSON.stringify(next) === JSON.stringify(usualProof)
  emit('write', isUsual ? undefined : next)
}
</script>

<template>
  <details>
    <summary class="cursor-pointer sub">What is pointed out on its pictures</summary>
    <div class="grid gap-3 mt-3 grid-cols-2 sm:grid-cols-3 items-end">
      <NumberField
        :model-value="proofOf(show).letters"
        label="Letters in a list below, px"
        :min="1"
        :max="60"
        @update:model-value="write({ letters: $event })"
      /><NumberField
        :model-value="Math.round(proofOf(show).contrast * 10)"
        label="Contrast below, tenths to 1"
        :min="10"
        :max="210"
        @update:model-value="write({ contrast: $event / 10 })"
      /><NumberField
        :model-value="Math.round(proofOf(show).fresh * 100)"
        label="New words below, %"
        :min="0"
        :max="100"
        @update:model-value="write({ fresh: $event / 100 })"
      /><NumberField
        :model-value="Math.round(proofOf(show).edges * 100)"
        label="Edges left when small below, %"
        :min="0"
        :max="100"
        @update:model-value="write({ edges: $event / 100 })"
      /><NumberField
        :model-value="Math.round(proofOf(show).like * 100)"
        label="Like an earlier one above, %"
        :min="0"
        :max="100"
        @update:model-value="write({ like: $event / 100 })"
      />
    </div>
  </details>
</template>
