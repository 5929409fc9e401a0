<script setup lang="ts">
import { computed, nextTick, shallowRef, useTemplateRef, watch } from 'vue'
import { useResizeObserver } from '@vueuse/core'
import type { Cut, CutNote } from '@core/records'
import { stackedNotes, type PlacedNote } from '../script/placed-notes'
import NoteRow from './NoteRow.vue'
import type { CutInHand } from './useCut'

/** The notes of a cut, each at the height of its moment on the film; a dotted line leads to one that had to stand lower. */
const { cut, of, length, height, now } = defineProps<{
  cut: Cut
  of: CutInHand
  length: number
  height: number
  now: number
}>()
const emit = defineEmits<{ seek: [to: number] }>()
const column = useTemplateRef<HTMLElement>('column')
const placed = shallowRef<ReadonlyMap<string, PlacedNote>>(new Map())
/** How near the cut stands to a note to be at it, seconds. */
const near = 0.5
const here = computed(() => cut.notes.findLast((n) => Math.abs(n.at - now) <= near)?.id)
function place() {
  const heights = new Map<string, number>()
  for (const row of column.value?.querySelectorAll<HTMLElement>('[data-note]') ?? [])
    heights.set(row.dataset['note'] ?? '', row.offsetHeight)
  placed.value = stackedNotes(
    cut.notes.map((n) => {
      const y = (Math.min(n.at, length) / length) * height
      return { id: n.id, words: { top: y - 12, foot: y, right: -20 }, height: heights.get(n.id) ?? 28 }
    }),
    0,
  )
}
watch(
  () => [cut.notes, length, height],
  () => void nextTick(place),
  { immediate: true },
)
useResizeObserver(column, place)
const foot = computed(() => {
  const last = cut.notes.at(-1)
  return Math.max(height, (placed.value.get(last?.id ?? '')?.top ?? 0) + 40)
})
const tick = (n: CutNote) => {
  of.change(n.id, { isDone: n.done === undefined })
}
</script>

<template>
  <div ref="column" class="beside" :style="{ minHeight: `${foot}px`, '--in': '20px' }">
    <svg class="lines" aria-hidden="true">
      <path v-for="[id, p] in placed" :key="id" :d="p.line" :class="{ on: id === here }" />
    </svg>
    <ol aria-label="Notes on the cut">
      <li
        v-for="n in cut.notes"
        :key="n.id"
        :data-note="n.id"
        class="note"
        :style="{ transform: `translateY(${placed.get(n.id)?.top ?? 0}px)` }"
      >
        <NoteRow
          :note="n"
          :here="n.id === here"
          :from="cut.from"
          :closed="cut.closed !== undefined"
          @seek="emit('seek', n.at)"
          @tick="tick(n)"
          @change="of.change(n.id, $event)"
          @remove="of.remove(n.id)"
        />
      </li>
    </ol>
  </div>
</template>

<style scoped src="../parts/notes-beside.css"></style>
