<script setup lang="ts">
import { computed } from 'vue'
import { sayMonth } from '@core/ideas/usable'
import { useMoment } from '@app/stores/moment'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'

/** A month to come, or none. One that has passed stays to be seen while it is chosen. */
const { label = 'Meant for', hidden = false } = defineProps<{ label?: string; hidden?: boolean }>()
const month = defineModel<string>({ required: true })
const moment = useMoment()
const coming = computed(() => {
  const from = Number(moment.today.slice(0, 4)) * 12 + Number(moment.today.slice(5, 7)) - 1
  return Array.from({ length: 18 }, (_, i) => {
    const n = from + i
    return `${Math.floor(n / 12)}-${String((n % 12) + 1).padStart(2, '0')}`
  })
})
const choices = computed(() => {
  const kept = month.value !== '' && !coming.value.includes(month.value) ? [month.value] : []
  return [
    ['', 'no month'] as const,
    ...[...kept, ...coming.value].map((m) => [m, sayMonth(m, moment.today)] as const),
  ]
})
</script>

<template>
  <ChoiceField v-model="month" :label="label" :hidden="hidden" :of="choices" />
</template>
