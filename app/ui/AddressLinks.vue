<script setup lang="ts">
import { Copy, ExternalLink } from '@lucide/vue'

/** Where something lives: each address opened, and the first one copied, by one press. */
const { of, about } = defineProps<{ of: { name: string; address: string }[]; about: string }>()
const emit = defineEmits<{ copy: [address: string] }>()
</script>

<template>
  <span v-if="of.length > 0" class="inline-flex items-center gap-1">
    <a
      v-for="a in of"
      :key="a.name"
      :href="a.address"
      target="_blank"
      rel="noreferrer noopener"
      class="p-1"
      :aria-label="`Open ${about} at ${a.name}`"
      :title="a.name"
      ><ExternalLink :size="14" /></a
    ><button
      class="p-1"
      :aria-label="`Copy the address of ${about}`"
      title="Copy the address"
      @click="emit('copy', of[0]?.address ?? '')"
    >
      <Copy :size="14" />
    </button>
  </span>
</template>
