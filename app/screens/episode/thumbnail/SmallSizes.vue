<script setup lang="ts">
import { computed } from 'vue'
import type { Episode } from '@core/records'
import { usePictures } from '@app/stores/pictures'
import { letterOf } from './letters'

/** Every candidate as small as it will be seen. `stamp` is the length in its corner. */
const { episode, square, stamp } = defineProps<{ episode: Episode; square: boolean; stamp: string }>()
const pictures = usePictures()
const sizes = computed(() =>
  square
    ? [
        { w: 120, what: 'in a player' },
        { w: 56, what: 'in a list' },
      ]
    : [
        { w: 160, what: 'phone list' },
        { w: 96, what: 'beside a video' },
      ],
)
</script>

<template>
  <section class="light" aria-label="At small sizes">
    <div v-for="p in episode.pictures" :key="p.id" class="min-w-0">
      <p class="flex items-center gap-2 text-12 mb-1.5">
        <strong>{{ letterOf(episode, p) }}</strong><template v-if="p.id === episode.chosenPicture"
          >chosen</template
        >
      </p>
      <div class="flex gap-2 items-start">
        <span
          v-for="s in sizes"
          :key="s.w"
          class="relative block flex-none"
          :style="{ width: `${s.w}px` }"
          :title="`${s.what}, ${s.w} px`"
          ><img
            v-if="pictures.url(p.id)"
            :src="pictures.url(p.id)"
            :alt="`Picture ${letterOf(episode, p)}, ${s.what}`"
            class="w-full object-cover"
            :class="square ? 'aspect-square' : 'aspect-video'"
          /><span v-if="stamp" class="stamp small">{{ stamp }}</span></span
        >
      </div>
    </div>
    <p class="w-full font-mono text-11 opacity-80">
      True size: {{ sizes.map((s) => `${s.what} ${s.w} px`).join(', ') }}
    </p>
  </section>
</template>

<style scoped src="./stamp.css"></style>

<style scoped>
.stamp.small {
  right: 3px;
  bottom: 3px;
  font-size: 9px;
  padding: 0 2px;
  line-height: 12px;
  border-radius: 2px;
}
.light {
  display: flex;
  flex-wrap: wrap;
  gap: 18px 28px;
  margin-top: 16px;
  padding: 14px 18px;
  border-radius: 12px;
  background: oklch(0.93 0.02 85);
  color: oklch(0.25 0.02 300);
}
</style>
