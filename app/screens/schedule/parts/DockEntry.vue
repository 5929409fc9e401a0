<script setup lang="ts">
import { useRouter } from 'vue-router'
import { sixLamps } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import { vCarries } from '@app/ui/drag/carry'
import Glyph from '@app/ui/Glyph.vue'
import { carriedEpisode } from '../carried'

/** An episode beside the Countdown, to be carried onto an open slot; `says` is how it stands. */
const { card, says, label } = defineProps<{ card: Card; says: string; label: string }>()
const router = useRouter()
</script>

<template>
  <button
    v-carries="carriedEpisode(card)"
    class="flex gap-2 items-center text-left w-full"
    :aria-label="`${card.title}, ${label}. Drag it onto an open slot`"
    @click="router.push({ name: 'episode', params: { code: card.episode.code } })"
  >
    <Glyph :size="24" :lamps="sixLamps(card.standing)" :name="card.title" /><span class="text-12"
      >{{ card.title }}<span class="sub block">{{ says }}</span></span
    >
  </button>
</template>
