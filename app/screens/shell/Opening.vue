<script setup lang="ts">
import { useLibrary } from '@app/stores/library'
import LayingDemo from './LayingDemo.vue'

const library = useLibrary()
</script>

<template>
  <main class="min-h-screen grid place-content-center justify-items-center gap-4" aria-busy="true">
    <img src="/mark.svg" width="44" height="44" alt="" />
    <LayingDemo v-if="library.progress" class="justify-items-center gap-4" />
    <p v-else-if="library.trouble" role="alert" class="max-w-[46ch] text-center">
      {{ library.trouble.sentence }}
    </p>
    <h1 v-else class="unseen">Lamp Reel is opening</h1>
  </main>
</template>
