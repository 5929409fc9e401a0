<script setup lang="ts">
import { computed } from 'vue'
import type { StageState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import ShelfLink from '../../ideas/idea/ShelfLink.vue'

/** What the notebook's shelf holds for this stage, one press away. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const rows = computed(() => {
  const { sources, files, images } = card.episode.idea
  return [...sources, ...files, ...images].filter((r) => r.stage === here.stage.kind)
})
</script>

<template>
  <div v-if="rows.length > 0" class="mt-5">
    <h2 class="mb-1.5">At hand</h2>
    <ul class="grid gap-1">
      <li v-for="r in rows" :key="r.id"><ShelfLink :of="r" /></li>
    </ul>
  </div>
</template>
