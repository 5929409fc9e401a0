<script setup lang="ts">
import { ref } from 'vue'
import type { Snapshot } from '@core/belt/snapshot'

/** A script, large, section by section; what was said is tapped away. */
const { script } = defineProps<{ script: Snapshot['scripts'][number] }>()
const emit = defineEmits<{ close: [] }>()
const said = ref(new Set<string>())
function toggle(key: string) {
  const next = new Set(said.value)
  if (!next.delete(key)) next.add(key)
  said.value = next
}
</script>

<template>
  <main class="film min-h-screen bg-base text-ink px-5 py-4">
    <header class="flex items-center gap-3 mb-4">
      <h1 class="flex-1 text-16">
        <span class="num">{{ script.number }}</span> {{ script.title }}
      </h1>
      <button class="btn" @click="emit('close')">Back</button>
    </header>
    <section v-for="(s, i) in script.sections" :key="i" class="mb-8" :aria-label="s.title">
      <h2 class="text-14 text-ink-2 mb-3">{{ s.title }}</h2>
      <button
        v-for="(l, j) in s.lines"
        :key="j"
        class="block w-full text-left text-26 leading-[1.4] mb-5"
        :class="said.has(`${i} ${j}`) ? 'opacity-40' : ''"
        :aria-pressed="said.has(`${i} ${j}`)"
        @click="toggle(`${i} ${j}`)"
      >
        {{ l }}
      </button>
    </section>
  </main>
</template>
