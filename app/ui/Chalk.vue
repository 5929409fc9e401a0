<script setup lang="ts">
import { computed } from 'vue'
import { chalkSketch } from './chalk-sketch'

/** A picture not made yet, as a chalk sketch of the frame that goes with its title. */
const { title } = defineProps<{ title: string }>()
const path = computed(() => chalkSketch(title))
</script>

<template>
  <svg
    viewBox="0 0 72 54"
    preserveAspectRatio="xMidYMid slice"
    class="block w-full h-full bg-[oklch(0.245_0.02_300)]"
    aria-hidden="true"
  >
    <path
      :d="path"
      fill="none"
      stroke="oklch(.8 .02 85)"
      stroke-width="1.4"
      vector-effect="non-scaling-stroke"
      stroke-linecap="round"
      stroke-linejoin="round"
      stroke-dasharray="14 1.5 9 1"
    />
    <path
      :d="path"
      fill="none"
      stroke="oklch(.8 .02 85 / .25)"
      stroke-width="3"
      vector-effect="non-scaling-stroke"
      stroke-linecap="round"
      transform="translate(.4 .4)"
    />
  </svg>
</template>
