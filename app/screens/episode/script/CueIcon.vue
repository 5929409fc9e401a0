<script setup lang="ts">
import { AudioLines, MonitorPlay, Search, Triangle, Upload, Video, Scissors } from '@lucide/vue'
import type { CueKind } from '@core/records'
import { cueKinds } from '@core/script/cues'

/** The sign of a kind of cue, with its name for those who listen. */
const { kind } = defineProps<{ kind: CueKind }>()
const icons = {
  shot: Video,
  find: Search,
  screen: MonitorPlay,
  graphic: Triangle,
  sound: AudioLines,
  edit: Scissors,
  upload: Upload,
}
</script>

<template>
  <span :title="cueKinds[kind].name"
    ><component :is="icons[kind]" :size="14" aria-hidden="true" /><span class="sr-only">{{
      cueKinds[kind].name
    }}</span></span
  >
</template>
