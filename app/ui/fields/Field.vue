<script setup lang="ts">
import { computed } from 'vue'

/**
 * A label over its field, and what is wrong under both, which is no part of the label. The field itself stands in
 * the slot.
 */
const { label, fault = '' } = defineProps<{ label?: string | undefined; fault?: string | undefined }>()
const shown = computed(() => label !== undefined && label !== '')
</script>

<template>
  <component :is="shown ? 'div' : 'span'"
    ><component :is="shown ? 'label' : 'span'" :class="{ block: shown }"
      ><span v-if="shown" class="label">{{ label }}</span
      ><slot /></component
    ><span v-if="fault" role="alert" class="late block text-12 mt-1">{{ fault }}</span></component
  >
</template>
