<script setup lang="ts">
import { computed } from 'vue'
import { letPictureStay, swapPicture } from '@core/commands/episode'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { useSwaps } from '@app/stores/swaps'
import { letterOf } from './letters'

/** An episode that is out and runs below its usual: its runner-up is offered instead. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const pictures = usePictures()
const swaps = useSwaps()
const swap = computed(() => swaps.all.find((s) => s.episode.id === card.episode.id))
</script>

<template>
  <section
    v-if="swap"
    class="panel p-3 flex flex-wrap items-center gap-3"
    :aria-label="`A swap for ${card.number}`"
  >
    <img
      v-if="pictures.url(swap.instead.id)"
      :src="pictures.url(swap.instead.id)"
      alt=""
      class="w-[84px] rounded-[4px]"
    />
    <p class="flex-1 min-w-[200px]">
      <strong>{{ card.number }} {{ card.title }} runs at {{ swap.times.toFixed(1) }}× its usual.</strong>
      Try its other picture, {{ letterOf(card.episode, swap.instead) }}, at the outlets.
    </p>
    <button class="btn" @click="library.perform(swapPicture, { episode: card.episode.id })">
      Change to {{ letterOf(card.episode, swap.instead) }}</button
    ><button
      class="btn btn-bare"
      @click="library.perform(letPictureStay, { episode: card.episode.id }, 'quietly')"
    >
      Let it stay
    </button>
  </section>
</template>
