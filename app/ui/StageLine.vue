<script setup lang="ts">
import type { StageState } from '@core/recipe/progress'
import LampMark from './LampMark.vue'

/** An episode's stages as lamps on a line, joined where they are lit. */
const { stages, names = true } = defineProps<{ stages: StageState[]; names?: boolean }>()
const joined = (i: number) => stages[i]?.lamp.state === 'lit' && stages[i + 1]?.lamp.state === 'lit'
</script>

<template>
  <ol class="flex">
    <li v-for="(s, i) in stages" :key="s.stage.id" class="relative flex-1 text-center min-w-0">
      <span
        v-if="joined(i)"
        class="absolute left-1/2 top-[11px] h-[2px] w-full bg-lamp-line"
        aria-hidden="true"
      />
      <LampMark :lamp="s.lamp" :name="s.stage.name" class="relative inline-block" :size="24" />
      <span v-if="names" class="block text-11 text-ink-2 truncate" aria-hidden="true">{{
        s.stage.name
      }}</span>
    </li>
  </ol>
</template>
