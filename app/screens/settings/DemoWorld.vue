<script setup lang="ts">
import { computed } from 'vue'
import LayingDemo from '@app/screens/shell/LayingDemo.vue'
import { useLibrary } from '@app/stores/library'

const library = useLibrary()
const isLaying = computed(() => library.progress !== undefined)
</script>

<template>
  <section class="panel p-5">
    <h2 class="mb-1">The demo</h2>
    <template v-if="library.world === 'demo'">
      <p class="sub mb-4">It is laid anew each day, relative to today.</p>
      <div class="flex flex-wrap items-center gap-2">
        <!-- Not disabled while it is laid: that would take the focus away from whoever pressed it. -->
        <button
          class="btn"
          :aria-disabled="isLaying"
          :class="{ 'opacity-60': isLaying }"
          @click="library.layDemoAnew()"
        >
          Lay it anew now</button
        ><button class="btn" @click="library.enter('own')">Leave the demo</button>
        <LayingDemo class="md:ml-auto" />
      </div>
    </template>
    <template v-else>
      <p class="sub mb-4">A year of two invented shows. Your data stays as it is.</p>
      <button class="btn" @click="library.enter('demo')">Look round in the demo</button>
    </template>
  </section>
</template>
