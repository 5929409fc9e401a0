<script setup lang="ts">
import { useNumberText, type NumberProps } from './number'
import NumberInput from './NumberInput.vue'

/**
 * A number, given when the field is left or Enter is pressed, or with `eager` at every figure. What is no number,
 * or cleared, goes back to what it was.
 */
const { label, min, max, step, eager = false } = defineProps<NumberProps>()
const number = defineModel<number>({ required: true })
const { text, typed } = useNumberText(
  () => number.value,
  () => ({ min, max, step }),
  (read) => {
    if (read !== undefined) number.value = read
  },
)
</script>

<template>
  <NumberInput
    v-model="text"
    :label="label"
    :hidden="hidden"
    :unit="unit"
    :fault="fault"
    :field="field"
    :min="min"
    :max="max"
    :step="step !== undefined && step < 1 ? 'any' : step"
    @typed="(done) => (done || eager) && typed(done)"
  />
</template>
