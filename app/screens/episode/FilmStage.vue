<script setup lang="ts">
import type { StageState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import Materials from './materials/Materials.vue'
import CueLists from './parts/CueLists.vue'
import StepList from './StepList.vue'

/** What the script asks for of the day of filming, to be ticked as it is got. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
</script>

<template>
  <div class="mx-auto max-w-[1080px] px-5 py-5 grid grid-cols-1 gap-8 lg:grid-cols-[minmax(0,1fr)_280px]">
    <div class="min-w-0">
      <Materials v-if="card.episode.phase.kind !== 'released'" :card="card" />
      <CueLists :card="card" :kinds="['shot', 'screen', 'find']">
        {{ card.show.kind === 'audio' ? 'No sounds or shots are noted.' : 'No shots are noted.' }}
        Note them at the words of the script, and they stand here to be ticked.
      </CueLists>
    </div>
    <aside><StepList :card="card" :here="here" /></aside>
  </div>
</template>
