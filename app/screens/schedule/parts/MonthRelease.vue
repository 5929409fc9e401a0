<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { sixLamps } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import { usePictures } from '@app/stores/pictures'
import { vCarries } from '@app/ui/drag/carry'
import Glyph from '@app/ui/Glyph.vue'
import { carriedEpisode } from '../carried'

/** A release on its day. */
const { card } = defineProps<{ card: Card }>()
const emit = defineEmits<{ keyed: [event: KeyboardEvent] }>()
const pictures = usePictures()
const router = useRouter()
const out = computed(() => card.episode.phase.kind === 'released')
const picture = computed(() => pictures.url(card.episode.chosenPicture ?? card.episode.pictures[0]?.id))
</script>

<template>
  <button
    v-carries="out ? undefined : carriedEpisode(card)"
    class="rel"
    :class="[
      card.show.kind,
      {
        gone: out,
        late: card.standing.late && !out,
      },
    ]"
    :data-month-card="card.episode.id"
    :aria-label="`${card.number} ${card.title}${out ? ', released' : ', Alt and arrows move it'}`"
    @keydown="emit('keyed', $event)"
    @click="router.push({ name: 'episode', params: { code: card.episode.code } })"
  >
    <img
      v-if="picture"
      :src="picture"
      alt=""
      class="w-[34px] h-[22px] object-cover rounded-[2px] flex-none"
    /><Glyph v-else :size="20" :lamps="sixLamps(card.standing)" :name="card.title" class="flex-none" /><span
      class="truncate"
      ><span class="num text-11">{{ card.number }}</span> {{ card.title }}</span
    >
  </button>
</template>
