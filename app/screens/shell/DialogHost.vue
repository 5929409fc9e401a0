<script setup lang="ts">
import { defineAsyncComponent, onMounted } from 'vue'
import { useDialogs } from '@app/stores/dialogs'

/** Shows the dialog that is open. Each is fetched when it is first wanted. */
const loadFinder = () => import('./Finder.vue')
const Finder = defineAsyncComponent(loadFinder)
const Shortcuts = defineAsyncComponent(() => import('./Shortcuts.vue'))
const PlaceIdea = defineAsyncComponent(() => import('../schedule/PlaceIdea.vue'))
const FillSlot = defineAsyncComponent(() => import('../schedule/FillSlot.vue'))
const KeepSlot = defineAsyncComponent(() => import('../schedule/KeepSlot.vue'))
const MissedSlot = defineAsyncComponent(() => import('../schedule/MissedSlot.vue'))
const ReleasedSheet = defineAsyncComponent(() => import('../schedule/ReleasedSheet.vue'))
const ScheduleSheet = defineAsyncComponent(() => import('../schedule/ScheduleSheet.vue'))
const ParkEpisode = defineAsyncComponent(() => import('../schedule/ParkEpisode.vue'))
const ForecastPanel = defineAsyncComponent(() => import('../week/ForecastPanel.vue'))
const HistoryPanel = defineAsyncComponent(() => import('../episode/HistoryPanel.vue'))
const PasteLines = defineAsyncComponent(() => import('../ideas/PasteLines.vue'))

const dialogs = useDialogs()
// The finder is fetched ahead, so that what is typed right behind its key is not lost.
onMounted(() => {
  setTimeout(() => {
    void loadFinder()
  }, 1500)
})
</script>

<template>
  <template v-if="dialogs.open">
    <Finder v-if="dialogs.open.kind === 'find'" />
    <Shortcuts v-else-if="dialogs.open.kind === 'shortcuts'" />
    <PlaceIdea v-else-if="dialogs.open.kind === 'place'" :id="dialogs.open.episode" />
    <FillSlot v-else-if="dialogs.open.kind === 'fill'" :vacant="dialogs.open.slot" />
    <KeepSlot v-else-if="dialogs.open.kind === 'keep'" :vacant="dialogs.open.slot" />
    <MissedSlot v-else-if="dialogs.open.kind === 'missed'" :id="dialogs.open.episode" />
    <ReleasedSheet v-else-if="dialogs.open.kind === 'released'" :id="dialogs.open.episode" />
    <ScheduleSheet v-else-if="dialogs.open.kind === 'schedule'" :id="dialogs.open.episode" />
    <ParkEpisode v-else-if="dialogs.open.kind === 'park'" :id="dialogs.open.episode" />
    <ForecastPanel
      v-else-if="dialogs.open.kind === 'forecast'"
      :id="dialogs.open.episode"
      :key="dialogs.open.episode"
    />
    <HistoryPanel v-else-if="dialogs.open.kind === 'history'" :episode="dialogs.open.episode" />
    <PasteLines v-else :text="dialogs.open.text" />
  </template>
</template>
