<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { BeatTime, SectionTime } from '@core/edit/times'
import type { CutNote } from '@core/records'
import { sayTime } from '@core/script/timecode'

/** The film of a cut, true to time from top to bottom: its sections as estimated and as they are, camera against voice. */
const { sections, beats, notes, length, now, height } = defineProps<{
  sections: readonly SectionTime[]
  beats: readonly BeatTime[]
  notes: readonly CutNote[]
  length: number
  now: number
  height: number
}>()
const emit = defineEmits<{ seek: [to: number] }>()
const strip = useTemplateRef<HTMLElement>('strip')
const y = (seconds: number) => (Math.min(seconds, length) / length) * height
/** Least height of a title, so that none stands over another. */
const line = 34
const labels = computed(() => {
  let free = 0
  return sections.map((s) => {
    const top = Math.max(free, y(s.from))
    free = top + line
    return { ...s, top }
  })
})
function press(event: MouseEvent) {
  const box = strip.value?.getBoundingClientRect()
  if (box) emit('seek', ((event.clientY - box.top) / box.height) * length)
}
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)_96px] gap-2" :style="{ height: `${height}px` }">
    <ol class="relative" aria-label="Sections in the cut">
      <li
        v-for="s in labels"
        :key="s.id"
        class="absolute right-0 left-0 text-right text-12"
        :style="{ top: `${s.top}px` }"
      >
        <button class="hover:underline font-medium truncate max-w-full" @click="emit('seek', s.from)">
          {{ s.title }}
        </button>
        <p class="num text-11 text-ink-2">
          {{ sayTime(s.script) }} →
          <span :class="s.isTimed ? 'text-ink' : ''">{{ sayTime(s.to - s.from) }}</span>
        </p>
      </li>
    </ol>
    <div ref="strip" class="film strip" aria-hidden="true" @click="press">
      <i
        v-for="b in beats"
        :key="b.id"
        class="beat"
        :class="b.kind"
        :style="{ top: `${y(b.from)}px`, height: `${Math.max(2, y(b.to) - y(b.from) - 1)}px` }"
      />
      <i v-for="s in sections" :key="s.id" class="edge" :style="{ top: `${y(s.from)}px` }" />
      <i
        v-for="n in notes"
        :key="n.id"
        class="noted"
        :class="{ open: n.kind === 'to do' && !n.done }"
        :style="{ top: `${y(n.at)}px` }"
      />
      <b class="head" :style="{ top: `${y(now)}px` }" />
    </div>
  </div>
</template>

<style scoped>
.strip {
  position: relative;
  border-radius: 6px;
  cursor: pointer;
  background-color: oklch(0.12 0.012 60);
  background-image:
    repeating-linear-gradient(0deg, oklch(0.3 0.018 70) 0 6px, transparent 6px 13px),
    repeating-linear-gradient(0deg, oklch(0.3 0.018 70) 0 6px, transparent 6px 13px);
  background-size:
    5px 100%,
    5px 100%;
  background-position:
    5px 4px,
    calc(100% - 5px) 4px;
  background-repeat: no-repeat;
}
.beat {
  position: absolute;
  left: 16px;
  right: 16px;
  border-radius: 2px;
}
.beat.camera {
  background: oklch(0.62 0.02 85);
}
.beat.voice {
  background: repeating-linear-gradient(to bottom, oklch(0.62 0.02 85) 0 3px, oklch(0.24 0.016 60) 3px 6px);
}
.edge {
  position: absolute;
  left: 0;
  right: 0;
  border-top: 1px solid var(--ink-2);
}
.noted {
  position: absolute;
  right: -6px;
  width: 18px;
  border-top: 2px solid var(--ink-3);
}
.noted.open {
  border-color: var(--ink);
  width: 26px;
}
.head {
  position: absolute;
  left: -6px;
  right: -8px;
  border-top: 2px solid var(--lamp);
}
</style>
