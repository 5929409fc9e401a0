<script setup lang="ts">
import type { Frame } from '@core/pictures/frame'
import { sayBytes } from '@core/pictures/proof'
import { usePictures } from '@app/stores/pictures'
import type { Tried } from './useCandidates'

/** A candidate on a piece of film: large with its size, or small to be chosen. */
const {
  tried,
  frame,
  stamp,
  title = '',
} = defineProps<{ tried: Tried; frame: Frame; stamp: string; title?: string }>()
const pictures = usePictures()
</script>

<template>
  <span class="film cell" :class="{ chosen: tried.isChosen, refused: tried.picture.refused !== undefined }"
    ><span class="edge"
      ><span v-if="title">{{ title.toUpperCase() }}</span
      ><span :class="title ? 'ml-auto' : ''"
        >{{ tried.letter }} ▸ {{ tried.picture.name }}<template v-if="tried.isChosen">, chosen</template
        ><template v-else-if="tried.picture.refused !== undefined">, refused</template
        ><template v-else-if="tried.isRunnerUp">, runner-up</template></span
      ></span
    ><span class="relative block" :style="{ aspectRatio: `${frame.width} / ${frame.height}` }"
      ><img
        v-if="pictures.url(tried.picture.id)"
        :src="pictures.url(tried.picture.id)"
        :alt="title ? `Picture ${tried.letter}, ${tried.picture.name}` : ''"
        class="absolute inset-0 w-full h-full object-cover" /><span v-if="stamp" class="stamp">{{
        stamp
      }}</span
      ><slot /></span
    ><span class="edge"
      ><span v-if="title"
        >{{ tried.picture.width }} × {{ tried.picture.height }} · {{ sayBytes(tried.picture.size) }}</span
      ></span
    ></span
  >
</template>

<style scoped>
.cell {
  display: block;
  padding: 0 6px;
  border: 2px solid transparent;
  border-radius: 6px;
  background: var(--base);
  color: var(--ink);
}
.cell.chosen {
  border-color: var(--ink);
}
.cell.refused img {
  opacity: 0.45;
}
.edge {
  display: flex;
  align-items: center;
  gap: 12px;
  height: 20px;
  padding-inline: 14px;
  font: 400 11px var(--font-mono);
  color: var(--ink-2);
  background: repeating-linear-gradient(90deg, oklch(0.3 0.018 70) 0 8px, transparent 8px 18px) 0 7px / auto
    6px repeat-x;
  overflow: hidden;
  white-space: nowrap;
}
.edge > span {
  background: var(--base);
  padding-inline: 6px;
}
</style>

<style scoped src="./stamp.css"></style>
