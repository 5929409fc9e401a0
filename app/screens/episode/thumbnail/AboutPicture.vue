<script setup lang="ts">
import { computed } from 'vue'
import { Trash2 } from '@lucide/vue'
import { choosePicture, removePicture } from '@core/commands/episode'
import type { Picture } from '@core/records'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Flag from '@app/ui/Flag.vue'

/** What can be done with the candidate that is looked at, and whether outlets take it. */
const { card, picture, letter } = defineProps<{ card: Card; picture: Picture; letter: string }>()
const library = useLibrary()
const most = computed(() => Math.min(...card.outlets.map((o) => o.pictureBytes), 20_000_000))
const square = computed(() => card.show.kind === 'audio')
</script>

<template>
  <div class="grid gap-2">
    <button
      v-if="picture.id !== card.episode.chosenPicture"
      class="btn btn-main"
      @click="library.perform(choosePicture, { episode: card.episode.id, picture: picture.id })"
    >
      Choose {{ letter }}
    </button>
    <p v-else class="panel p-3">
      <strong>{{ letter }} is chosen.</strong>{{ ' ' }}
      <button
        class="underline underline-offset-2"
        @click="library.perform(choosePicture, { episode: card.episode.id, picture: undefined }, 'quietly')"
      >
        Take it back
      </button>
    </p>
    <button
      class="btn btn-bare btn-small justify-self-start text-ink-2"
      @click="library.perform(removePicture, { episode: card.episode.id, picture: picture.id })"
    >
      <Trash2 :size="14" /> Take {{ letter }} away
    </button>
    <p v-if="picture.width < 1280 || picture.height < (square ? 1000 : 720)" class="text-12">
      <Flag />{{ picture.width }} × {{ picture.height }} is small; it will be blown up to 1280 × 720.
    </p>
    <p v-if="picture.size > most" class="text-12">
      <Flag />{{ Math.round(picture.size / 1000) }} kB is more than the outlet takes ({{
        Math.round(most / 1000)
      }}
      kB). The kit’s JPEG is made lighter.
    </p>
  </div>
</template>
