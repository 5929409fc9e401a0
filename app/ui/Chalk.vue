<script setup lang="ts">
import { computed } from 'vue'

/** A picture not made yet, as a chalk sketch of the frame. The same seed gives the same sketch. */
const { seed } = defineProps<{ seed: string }>()
const sketches = [
  'M8 30c14-10 30-14 56-14M10 36c16-9 34-12 55-12M20 22l8 12M34 18l7 13M48 16l6 12',
  'M10 26h30v-6h10v20H40v-6H10zM50 24h14M50 36h14M16 26v8M24 26v8',
  'M8 38c12 6 44 6 56 0M14 36l6-10h32l6 10M36 26V8l14 14H36M10 44c8 3 12-3 20 0s12 3 20 0 10-3 14 0',
  'M36 10a8 8 0 1 1 0 16 8 8 0 0 1 0-16zM20 46c1-12 8-17 16-17s15 5 16 17M28 46v-6M44 46v-6',
  'M10 36c8-4 12 4 20 0s12-4 20 0 10 2 14 0M10 42c8-4 12 4 20 0s12-4 20 0 10 2 14 0M44 12a9 9 0 1 0 8 13 11 11 0 0 1-8-13z',
  'M14 44c0-20 6-32 22-32s22 12 22 32M22 44c0-16 4-24 14-24s14 8 14 24M10 44h52',
]
const path = computed(
  () => sketches[[...seed].reduce((sum, c) => sum + c.charCodeAt(0), 0) % sketches.length],
)
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
