<script setup lang="ts">
import type { Frame } from '@core/pictures/frame'
import { usePictures } from '@app/stores/pictures'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import { thumbnailKeys } from '../keymap'
import type { Tried } from './useCandidates'

/** Every candidate as small as it will be seen, with eyes half shut and without colour; on a light page or a dark one. */
const { tried, frame, stamp } = defineProps<{ tried: readonly Tried[]; frame: Frame; stamp: string }>()
const emit = defineEmits<{ look: [id: string] }>()
const pictures = usePictures()
const dark = defineModel<boolean>('dark', { required: true })
const worst = ({ failing }: Tried) => failing[0]?.fault?.says ?? ''
/** The length shrinks with the picture, as lists do it down to what can still be read. */
const stampSize = (w: number) => Math.max(6, Math.min(9, (w / 160) * 9))
</script>

<template>
  <section class="table" :class="{ dark }" aria-label="At small sizes">
    <div class="flex flex-wrap gap-x-4 gap-y-4">
      <div v-for="t in tried" :key="t.picture.id" class="min-w-0">
        <p class="flex items-baseline gap-2 text-12 mb-2 max-w-[280px]">
          <button
            class="font-semibold text-14"
            :aria-label="`Look at ${t.letter}`"
            @click="emit('look', t.picture.id)"
          >
            {{ t.letter }}</button><span v-if="t.picture.refused !== undefined" class="truncate"
            >refused: {{ t.picture.refused }}</span
          ><span v-else-if="!t.findings" class="soft">measuring</span
          ><span v-else-if="t.failing.length > 0" class="bad truncate"><Flag />{{ worst(t) }}</span
          ><span v-else-if="t.findings.some((f) => f.state === 'unknown')" class="soft">words not known</span
          ><span v-else>passes all</span>
        </p>
        <div class="flex gap-2 items-start">
          <div
            v-for="(column, c) in [frame.sizes.slice(0, 1), frame.sizes.slice(1)]"
            :key="c"
            class="grid gap-1.5"
          >
            <span
              v-for="s in column"
              :key="s.w"
              class="relative block overflow-hidden rounded-[3px]"
              :style="{ width: `${s.w}px`, aspectRatio: `${frame.width} / ${frame.height}` }"
              :title="`${s.what}, ${s.w} px`"
              ><img
                v-if="pictures.url(t.picture.id)"
                :src="pictures.url(t.picture.id)"
                :alt="`Picture ${t.letter}, ${s.what}`"
                class="absolute inset-0 w-full h-full object-cover"
              /><span v-if="stamp" class="stamp small" :style="{ fontSize: `${stampSize(s.w)}px` }">{{
                stamp
              }}</span></span
            >
          </div>
        </div>
        <div class="flex gap-2 mt-2">
          <span
            v-for="(how, i) in ['blur(3px)', 'grayscale(1)']"
            :key="how"
            class="block overflow-hidden rounded-[3px] w-[128px]"
            :style="{ aspectRatio: `${frame.width} / ${frame.height}` }"
            ><img
              v-if="pictures.url(t.picture.id)"
              :src="pictures.url(t.picture.id)"
              :alt="`Picture ${t.letter}, ${i === 0 ? 'eyes half shut' : 'without colour'}`"
              class="w-full h-full object-cover"
              :style="{ filter: how }"
          /></span>
        </div>
      </div>
    </div>
    <p class="flex flex-wrap gap-x-4 mt-3 font-mono text-11">
      <span class="flex-1"
        >True size: {{ frame.sizes.map((s) => `${s.what} ${s.w}`).join(', ') }}. Below: eyes half shut,
        without colour.</span
      ><button @click="dark = !dark">
        <KeySign :line="thumbnailKeys.lines.page" /> on a {{ dark ? 'light' : 'dark' }} page
      </button>
    </p>
  </section>
</template>

<style scoped src="./stamp.css"></style>

<style scoped>
.stamp.small {
  right: 3px;
  bottom: 3px;
  padding: 0 2px;
  line-height: 1.3;
  border-radius: 2px;
}
.table {
  margin-top: 12px;
  padding: 14px 14px 10px;
  border-radius: 12px;
  background: oklch(0.93 0.02 85);
  color: oklch(0.25 0.02 300);
}
.soft {
  color: oklch(0.43 0.02 300);
}
.bad {
  color: oklch(0.48 0.18 20);
}
.table.dark {
  background: oklch(0.16 0.012 300);
  color: oklch(0.93 0.012 85);
}
.table.dark .soft {
  color: oklch(0.77 0.015 85);
}
.table.dark .bad {
  color: oklch(0.74 0.155 18);
}
.table .bad :deep(svg) {
  color: inherit;
  fill: currentcolor;
}
</style>
