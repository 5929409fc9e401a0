<script setup lang="ts">
import { computed } from 'vue'
import type { Frame } from '@core/pictures/frame'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { usePictures } from '@app/stores/pictures'
import { useProof } from '@app/stores/proof'
import type { Tried } from './useCandidates'

/** The candidate among the show's last pictures, with how those did. */
const { card, tried, frame } = defineProps<{ card: Card; tried: Tried; frame: Frame }>()
const proof = useProof()
const cards = useCards()
const pictures = usePictures()
const before = computed(() =>
  proof
    .before(card)
    .slice(0, 5)
    .flatMap((e) => cards.cardOf(e) ?? []),
)
const times = (id: string) => {
  const multiple = cards.multiples.get(id)
  return multiple === undefined ? '' : `${multiple.toFixed(1)}×`
}
</script>

<template>
  <section v-if="before.length > 0" :aria-label="`${tried.letter} beside your last ones`">
    <p class="flex items-baseline mb-2">
      <strong class="flex-1">{{ tried.letter }} beside your last {{ before.length }}</strong
      ><span class="font-mono text-11 text-ink-2">times usual</span>
    </p>
    <ul class="grid grid-cols-3 gap-2">
      <li>
        <img
          v-if="pictures.url(tried.picture.id)"
          :src="pictures.url(tried.picture.id)"
          alt=""
          class="w-full object-cover rounded-[4px] outline-2 outline-ink"
          :style="{ aspectRatio: `${frame.width} / ${frame.height}` }"
        />
        <p class="num text-11 flex justify-between mt-1">
          <span>{{ card.number }}</span><span>now</span>
        </p>
      </li>
      <li v-for="c in before" :key="c.episode.id">
        <RouterLink :to="{ name: 'episode', params: { code: c.episode.code, stage: '' } }" :title="c.title">
          <img
            v-if="pictures.url(c.episode.chosenPicture)"
            :src="pictures.url(c.episode.chosenPicture)"
            :alt="c.title"
            class="w-full object-cover rounded-[4px]"
            :style="{ aspectRatio: `${frame.width} / ${frame.height}` }"
        /></RouterLink>
        <p class="num text-11 flex justify-between mt-1 text-ink-2">
          <span>{{ c.number }}</span><span>{{ times(c.episode.id) }}</span>
        </p>
      </li>
    </ul>
  </section>
</template>
