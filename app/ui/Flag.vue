<script setup lang="ts">
/** The small flag that stands beside everything late. */
const { size = 11 } = defineProps<{ size?: number }>()
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 12 12" aria-hidden="true" class="flag">
    <path d="M1.5 0h9l-2 3 2 3h-7.5v6h-1.5z" fill="currentColor" />
  </svg>
</template>

<style scoped>
.flag {
  display: inline-block;
  vertical-align: -0.05em;
  margin-right: 3px;
  color: var(--rose);
}
</style>
