<script setup lang="ts">
/** A rating of one to five stars as radio buttons; the chosen one again takes it away. */
const { label, value } = defineProps<{ label: string; value: number | undefined }>()
const emit = defineEmits<{ change: [number | undefined] }>()
</script>

<template>
  <div role="group" :aria-label="label" class="inline-flex">
    <button
      v-for="n in 5"
      :key="n"
      type="button"
      class="px-[3px] text-16 leading-6 rounded-control"
      :class="n <= (value ?? 0) ? 'text-ink' : 'text-ring'"
      :aria-pressed="n === value"
      :aria-label="`${n} of 5`"
      @click="emit('change', n === value ? undefined : n)"
    >
      {{ n <= (value ?? 0) ? '★' : '☆' }}
    </button>
  </div>
</template>
