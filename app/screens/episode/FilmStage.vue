<script setup lang="ts">
import { computed } from 'vue'
import type { StageState } from '@core/recipe/progress'
import { shotsToGet } from '@core/script/to-camera'
import type { Card } from '@core/views/card'
import CueLists from './parts/CueLists.vue'
import SaveCues from './parts/SaveCues.vue'
import ShotOrder from './film/ShotOrder.vue'
import Readying from './film/Readying.vue'
import Materials from './materials/Materials.vue'
import StepList from './StepList.vue'

/** What the script asks for of the day of filming: shots by set-up, what else to get, and what is needed for it. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const kinds = ['shot', 'screen', 'find'] as const
const hasShots = computed(() => shotsToGet(card.script, card.show).needed > 0)
</script>

<template>
  <div class="mx-auto max-w-[1080px] px-5 py-5 grid grid-cols-1 gap-8 lg:grid-cols-[minmax(0,1fr)_280px]">
    <div class="min-w-0">
      <ShotOrder v-if="hasShots" :card="card"><SaveCues :card="card" :kinds="kinds" /></ShotOrder>
      <CueLists v-if="hasShots" :card="card" :kinds="['screen', 'find']" :kept="false" />
      <CueLists v-else :card="card" :kinds="kinds">
        {{ card.show.kind === 'audio' ? 'No sounds or shots are noted.' : 'No shots are noted.' }}
        Note them at the words of the script, and they stand here to be ticked.
      </CueLists>
      <Materials v-if="card.episode.phase.kind !== 'released'" :card="card" />
      <Readying v-if="card.episode.phase.kind === 'work'" :card="card" class="mt-6" />
    </div>
    <aside><StepList :card="card" :here="here" /></aside>
  </div>
</template>
