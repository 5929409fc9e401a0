<script setup lang="ts">
/** The views of the same slots. */
const views = [
  { name: 'schedule', label: 'Slots' },
  { name: 'countdown', label: 'Countdown' },
  { name: 'month', label: 'Month' },
  { name: 'months', label: 'Ideas by month' },
]
</script>

<template>
  <nav aria-label="Views of the schedule" class="flex border border-line rounded-control overflow-hidden">
    <RouterLink
      v-for="v in views"
      :key="v.name"
      :to="{ name: v.name }"
      class="px-3 py-1 no-underline text-ink-2 hover:text-ink"
      exact-active-class="bg-raised text-ink! font-medium"
      >{{ v.label }}</RouterLink
    >
  </nav>
</template>
