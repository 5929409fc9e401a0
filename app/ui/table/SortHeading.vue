<script setup lang="ts">
import { computed } from 'vue'

/** A heading that sorts its column; it says which way the column is sorted. `as` is its element. */
const {
  label,
  sorted,
  as = 'th',
} = defineProps<{ label: string; sorted: 'asc' | 'desc' | false; as?: 'th' | 'span' }>()
const emit = defineEmits<{ sort: [] }>()
const said = computed(() => (sorted === false ? 'none' : sorted === 'asc' ? 'ascending' : 'descending'))
</script>

<template>
  <component
    :is="as"
    :scope="as === 'th' ? 'col' : undefined"
    :role="as === 'th' ? undefined : 'columnheader'"
    :aria-sort="said"
  >
    <button class="truncate max-w-full" :aria-label="`Sort by ${label}`" @click="emit('sort')">
      {{ label }}{{ sorted === false ? '' : sorted === 'desc' ? ' ↓' : ' ↑' }}
    </button>
  </component>
</template>
