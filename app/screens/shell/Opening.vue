<script setup lang="ts">
import { useLibrary } from '@app/stores/library'

const library = useLibrary()
</script>

<template>
  <main class="min-h-screen grid place-content-center justify-items-center gap-4" aria-busy="true">
    <img src="/mark.svg" width="44" height="44" alt="" />
    <template v-if="library.progress">
      <p class="text-14" role="status">{{ library.progress.what }}</p>
      <div
        class="h-1.5 w-[240px] rounded-full bg-raised overflow-hidden"
        role="progressbar"
        aria-label="Laying out the demo"
        :aria-valuenow="Math.round(library.progress.share * 100)"
        aria-valuemin="0"
        aria-valuemax="100"
      >
        <div class="h-full bg-lamp" :style="{ width: `${library.progress.share * 100}%` }" />
      </div>
    </template>
    <p v-else-if="library.trouble" role="alert" class="max-w-[46ch] text-center">
      {{ library.trouble.sentence }}
    </p>
    <h1 v-else class="unseen">Lamp Reel is opening</h1>
  </main>
</template>
