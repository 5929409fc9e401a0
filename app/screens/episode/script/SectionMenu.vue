<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'
import { onClickOutside } from '@vueuse/core'
import type { Section } from '@core/records'
import { tickedIn } from '@app/ui/fields/event'
import SpokenAs from './SpokenAs.vue'

/** What else can be done with a section: how it is spoken, which point it serves, its place. */
const { section, points, top } = defineProps<{ section: Section; points: readonly string[]; top: number }>()
const emit = defineEmits<{
  change: [to: Partial<Pick<Section, 'spoken' | 'lasts' | 'serves'>>]
  move: [by: -1 | 1]
  remove: []
  /** `back`: by a key, so that the caret goes back to the words. */
  close: [back: boolean]
}>()
const panel = useTemplateRef<HTMLElement>('panel')
onClickOutside(panel, () => {
  emit('close', false)
})
onMounted(() => {
  panel.value?.querySelector('select')?.focus()
  panel.value?.scrollIntoView({ block: 'nearest' })
})
function serve(point: number, event: Event) {
  const others = (section.serves ?? []).filter((p) => p !== point)
  emit('change', { serves: tickedIn(event) ? [...others, point].sort((a, b) => a - b) : others })
}
</script>

<template>
  <div
    ref="panel"
    role="dialog"
    :aria-label="`The section ${section.title}`"
    class="panel absolute right-0 z-30 w-[300px] bg-raised border-line p-3 grid gap-2.5"
    :style="{ top: `${top}px` }"
    @keydown.esc.stop.prevent="emit('close', true)"
  >
    <p class="flex items-center gap-2">
      <span class="sub flex-1">Spoken</span
      ><SpokenAs
        :spoken="section.spoken"
        :lasts="section.lasts"
        :name="`“${section.title}”`"
        @speak="emit('change', { spoken: $event })"
        @last="emit('change', { lasts: $event })"
      />
    </p>
    <fieldset v-if="points.some((p) => p !== '')" class="grid gap-1.5 border-t border-faint pt-2">
      <legend class="sub float-left">Makes the point</legend>
      <template v-for="(p, i) in points" :key="i">
        <label v-if="p !== ''" class="flex items-start gap-2 text-12"
          ><input
            type="checkbox"
            class="tick"
            :checked="section.serves?.includes(i) ?? false"
            @change="serve(i, $event)"
          />{{ i + 1 }} {{ p }}</label
        >
      </template>
    </fieldset>
    <p class="flex gap-1.5 border-t border-faint pt-2">
      <button class="btn btn-small" @click="emit('move', -1)">Up</button
      ><button class="btn btn-small" @click="emit('move', 1)">Down</button
      ><button class="btn btn-small ml-auto" @click="emit('remove')">Remove</button>
    </p>
  </div>
</template>
