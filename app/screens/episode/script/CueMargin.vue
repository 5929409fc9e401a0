<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, watch } from 'vue'
import { useEventListener, useResizeObserver, useDebounceFn } from '@vueuse/core'
import type { Cue } from '@core/records'
import type { CueThere } from '@core/script/cues'
import CueNote from './CueNote.vue'
import { placedNotes, type PlacedNote } from './placed-notes'

/** Plain notes in the margin beside the words they belong to; a line leads to one that had to stand elsewhere. */
const { cues, active, root, fresh } = defineProps<{
  cues: readonly CueThere[]
  active: string | undefined
  /** The element of the document. */
  root: HTMLElement | null
  /** A cue that was just noted: its field takes the caret. */
  fresh: string | undefined
}>()
const emit = defineEmits<{
  change: [id: string, to: (cue: Cue) => Cue | undefined]
  enter: [id: string]
  back: [id: string]
}>()
const column = ref<HTMLElement>()
const placed = shallowRef<ReadonlyMap<string, PlacedNote>>(new Map())
let isAsked = false
/** Measures where the words stand and how high the notes are, once a frame at the most. */
function place() {
  if (isAsked) return
  isAsked = true
  requestAnimationFrame(() => {
    isAsked = false
    if (column.value && root)
      placed.value = placedNotes(
        cues.map((c) => ({ id: c.cue.id, beat: c.beat.id })),
        root,
        column.value,
      )
  })
}
// While one types, words shift by a little at a time.
const rested = useDebounceFn(place, 150, { maxWait: 700 })
const placeSoon = () => {
  void rested()
}
watch(() => cues, placeSoon)
watch(() => [active, cues.length], place, { flush: 'post' })
onMounted(place)
useResizeObserver(() => root, placeSoon)
useEventListener(window, 'resize', place)
watch(
  () => fresh,
  async (id) => {
    if (id === undefined) return
    await nextTick()
    column.value?.querySelector<HTMLInputElement>(`[data-cue-note="${id}"] input`)?.focus()
  },
)
const lines = computed(() =>
  [...placed.value].flatMap(([id, p]) =>
    p.line && (p.isMoved || id === active) ? [{ id, d: p.line, isActive: id === active }] : [],
  ),
)
</script>

<template>
  <div ref="column" class="beside">
    <svg class="lines" aria-hidden="true">
      <path v-for="l in lines" :key="l.id" :d="l.d" :class="{ on: l.isActive }" />
    </svg>
    <ol aria-label="Cues">
      <li
        v-for="c in cues"
        :key="c.cue.id"
        v-memo="[c.cue, c.number, c.cue.id === active, placed.get(c.cue.id)?.top]"
        :data-cue-note="c.cue.id"
        class="note"
        :style="{ transform: `translateY(${placed.get(c.cue.id)?.top ?? 0}px)` }"
      >
        <CueNote
          :cue="c.cue"
          :number="c.number"
          :open="c.cue.id === active"
          @change="(to) => emit('change', c.cue.id, to)"
          @enter="emit('enter', c.cue.id)"
          @back="emit('back', c.cue.id)"
        />
      </li>
    </ol>
  </div>
</template>

<style scoped src="../parts/notes-beside.css"></style>
