<script setup lang="ts">
/** A label over its field, what is wrong under it. The field itself stands in the slot. */
const { label, fault = '' } = defineProps<{ label?: string | undefined; fault?: string | undefined }>()
</script>

<template>
  <component :is="label ? 'label' : 'span'"
    ><span v-if="label" class="label"
      ><slot name="label">{{ label }}</slot></span
    ><slot /><span v-if="fault" role="alert" class="late block text-12 mt-1">{{ fault }}</span></component
  >
</template>
