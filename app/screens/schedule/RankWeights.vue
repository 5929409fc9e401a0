<script setup lang="ts">
import { editSettings } from '@core/commands/settings'
import { partNames, type PartName } from '@core/ideas/rank-parts'
import { freshWeights } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { useRanking } from '@app/stores/ranking'
import { typedIn } from '@app/ui/fields/event'

/** How much each part of a score weighs; the ranking moves as a slider does. */
const library = useLibrary()
const ranking = useRanking()
const names = Object.keys(freshWeights).filter((n): n is PartName => n in freshWeights)
function tried(name: PartName, event: Event) {
  ranking.trying = { ...ranking.weights, [name]: Number(typedIn(event)) }
}
async function kept() {
  if (!ranking.trying) return
  await library.perform(editSettings, { weights: ranking.trying }, 'quietly')
  ranking.trying = undefined
}
async function usual() {
  ranking.trying = undefined
  await library.perform(editSettings, { weights: freshWeights }, 'quietly')
}
</script>

<template>
  <details class="sub">
    <summary class="py-1.5">What weighs how much</summary>
    <div class="grid gap-x-6 gap-y-1 sm:grid-cols-2 mt-1">
      <label v-for="n in names" :key="n" class="grid grid-cols-[110px_1fr_28px] gap-2 items-center"
        ><span>{{ partNames[n] }}</span
        ><input
          type="range"
          min="0"
          max="50"
          class="accent-ink"
          :value="ranking.weights[n]"
          @input="tried(n, $event)"
          @change="kept"
        /><span class="num text-right">{{ Math.round(ranking.weights[n]) }}</span></label
      >
      <button class="btn btn-small btn-bare justify-self-start" @click="usual">As at first</button>
    </div>
  </details>
</template>
