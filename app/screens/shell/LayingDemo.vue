<script setup lang="ts">
import { useLibrary } from '@app/stores/library'

/** How far laying out the demo has come; nothing while it is not laid out. */
const library = useLibrary()
</script>

<template>
  <div v-if="library.progress" class="grid gap-2">
    <p class="text-14" role="status">{{ library.progress.what }}</p>
    <div
      class="h-1.5 w-[240px] rounded-full bg-line overflow-hidden"
      role="progressbar"
      aria-label="Laying out the demo"
      :aria-valuenow="Math.round(library.progress.share * 100)"
      aria-valuemin="0"
      aria-valuemax="100"
    >
      <div class="h-full bg-lamp" :style="{ width: `${library.progress.share * 100}%` }" />
    </div>
  </div>
</template>
