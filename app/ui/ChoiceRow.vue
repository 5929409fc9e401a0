<script setup lang="ts" generic="T extends string | number">
/** A few choices side by side, one of them taken. */
const { label, of } = defineProps<{ label: string; of: readonly (readonly [T, string])[] }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <div role="radiogroup" :aria-label="label" class="flex rounded-control border border-line">
    <button
      v-for="[value, says] in of"
      :key="value"
      type="button"
      role="radio"
      class="choice"
      :aria-checked="chosen === value"
      @click="chosen = value"
    >
      {{ says }}
    </button>
  </div>
</template>

<style scoped>
.choice {
  padding: 6px 12px;
  font-size: 12.5px;
  border-radius: 6px;
}
.choice[aria-checked='true'] {
  background: var(--raised);
  font-weight: 600;
}
</style>
